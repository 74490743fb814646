/** Signing in by a key that stays in a device (WebAuthn). */
@NullMarked
package org.eskiz.server.operator.signin.passkey;

import org.jspecify.annotations.NullMarked;
