package org.eskiz.server.comparison;

import java.util.List;

/**
 * The best mixes that were found.
 *
 * @param rows the best first
 * @param proven whether there is certainly none better; else time was up
 * @param tried how many were worked out
 */
public record MixesResponse(List<ComparisonResponse.RowResponse> rows, boolean proven, int tried) {}
