package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.operator.Role;

/** What somebody may do from now on. */
record RoleRequest(@NotNull(message = "must be given") Role role) {}
