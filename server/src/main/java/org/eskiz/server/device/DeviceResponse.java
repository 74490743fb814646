package org.eskiz.server.device;

import java.util.UUID;
import org.eskiz.server.document.RunElement;

/** A device of the operator's own. */
record DeviceResponse(UUID id, long version, String name, RunElement element) {}
