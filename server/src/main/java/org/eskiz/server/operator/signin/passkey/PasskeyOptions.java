package org.eskiz.server.operator.signin.passkey;

import java.util.List;

/** What a browser is asked for, in the JSON of the WebAuthn standard; bytes are base64url. */
final class PasskeyOptions {

    private PasskeyOptions() {}

    /** A key to be made in a device that checks who its owner is, and that the device finds by itself later. */
    record CreationOptionsResponse(
            String challenge,
            RelyingPartyResponse rp,
            UserResponse user,
            List<ParameterResponse> pubKeyCredParams,
            List<DescriptorResponse> excludeCredentials,
            SelectionResponse authenticatorSelection,
            String attestation,
            long timeout) {}

    /** Something to be signed by any key of this server. */
    record SignInOptionsResponse(String challenge, String rpId, String userVerification, long timeout) {}

    record RelyingPartyResponse(String id, String name) {}

    record UserResponse(String id, String name, String displayName) {}

    record ParameterResponse(String type, int alg) {}

    record DescriptorResponse(String type, String id) {}

    record SelectionResponse(String residentKey, boolean requireResidentKey, String userVerification) {}
}
