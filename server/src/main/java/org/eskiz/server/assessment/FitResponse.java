package org.eskiz.server.assessment;

import java.util.List;

/** The law nearest to a sheet; residuals are relative, in the order of the points. */
record FitResponse(double k1, double k2, double worstRelativeResidual, List<Double> residuals) {}
