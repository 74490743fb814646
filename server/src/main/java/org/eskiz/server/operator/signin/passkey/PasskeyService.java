package org.eskiz.server.operator.signin.passkey;

import com.webauthn4j.WebAuthnManager;
import com.webauthn4j.converter.AttestedCredentialDataConverter;
import com.webauthn4j.converter.exception.DataConversionException;
import com.webauthn4j.converter.util.ObjectConverter;
import com.webauthn4j.credential.CredentialRecordImpl;
import com.webauthn4j.data.AuthenticationData;
import com.webauthn4j.data.AuthenticationParameters;
import com.webauthn4j.data.PublicKeyCredentialParameters;
import com.webauthn4j.data.PublicKeyCredentialType;
import com.webauthn4j.data.RegistrationData;
import com.webauthn4j.data.RegistrationParameters;
import com.webauthn4j.data.attestation.statement.COSEAlgorithmIdentifier;
import com.webauthn4j.data.attestation.statement.NoneAttestationStatement;
import com.webauthn4j.data.client.CollectedClientData;
import com.webauthn4j.data.client.Origin;
import com.webauthn4j.data.client.challenge.Challenge;
import com.webauthn4j.data.client.challenge.DefaultChallenge;
import com.webauthn4j.server.ServerProperty;
import com.webauthn4j.verifier.exception.VerificationException;
import java.nio.ByteBuffer;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.signin.PasskeySessions;
import org.eskiz.server.operator.signin.passkey.PasskeyOptions.CreationOptionsResponse;
import org.eskiz.server.operator.signin.passkey.PasskeyOptions.DescriptorResponse;
import org.eskiz.server.operator.signin.passkey.PasskeyOptions.ParameterResponse;
import org.eskiz.server.operator.signin.passkey.PasskeyOptions.RelyingPartyResponse;
import org.eskiz.server.operator.signin.passkey.PasskeyOptions.SelectionResponse;
import org.eskiz.server.operator.signin.passkey.PasskeyOptions.SignInOptionsResponse;
import org.eskiz.server.operator.signin.passkey.PasskeyOptions.UserResponse;
import org.eskiz.server.problem.BusyException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.NotSignedInException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.PublicAddress;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * Makes keys known, and lets in who has one. The device checks who holds it, so that a key is as good as a name and a password;
 * it signs for the public address alone, so that no other page gets anything of it.
 */
@Service
public class PasskeyService {

    private static final Duration ANSWERED_WITHIN = Duration.ofMinutes(5);
    private static final int CHALLENGE_BYTES = 32;
    private static final int RETRY_AFTER_S = 30;
    private static final String PUBLIC_KEY = "public-key";
    private static final String VERIFIED = "required";

    private static final List<COSEAlgorithmIdentifier> ALGORITHMS =
            List.of(COSEAlgorithmIdentifier.ES256, COSEAlgorithmIdentifier.EdDSA, COSEAlgorithmIdentifier.RS256);

    private static final SecureRandom RANDOM = new SecureRandom();

    private final Passkeys passkeys;
    private final PublicAddress address;
    private final Clock clock;
    private final WebAuthnManager webAuthn = WebAuthnManager.createNonStrictWebAuthnManager();
    private final AttestedCredentialDataConverter credentials =
            new AttestedCredentialDataConverter(new ObjectConverter());

    PasskeyService(Passkeys passkeys, PublicAddress address, Clock clock) {
        this.passkeys = passkeys;
        this.address = address;
        this.clock = clock;
    }

    List<PasskeyResponse> of(AtWork me) {
        return passkeys.of(me.operator());
    }

    /** @param name as it is shown by the device when it asks */
    @Transactional
    public CreationOptionsResponse toMakeOne(AtWork me, String name) {
        String id = text(bytes(me.operator()));
        return new CreationOptionsResponse(
                text(challenge(me.operator())),
                new RelyingPartyResponse(host(), "Eskiz"),
                new UserResponse(id, name, name),
                ALGORITHMS.stream()
                        .map(a -> new ParameterResponse(PUBLIC_KEY, (int) a.getValue()))
                        .toList(),
                passkeys.credentialIds(me.operator()).stream()
                        .map(known -> new DescriptorResponse(PUBLIC_KEY, text(known)))
                        .toList(),
                new SelectionResponse(VERIFIED, true, VERIFIED),
                "none",
                ANSWERED_WITHIN.toMillis());
    }

    @Transactional
    public SignInOptionsResponse toSignIn() {
        return new SignInOptionsResponse(text(challenge(null)), host(), VERIFIED, ANSWERED_WITHIN.toMillis());
    }

    /** Keeps a key that a device of theirs has made. */
    @Transactional
    public PasskeyResponse keep(AtWork me, PasskeyRequest request) {
        ValidationErrors.in(request).throwIfAny();
        RegistrationData made;
        try {
            made = read(request.credential(), webAuthn::parseRegistrationResponseJSON);
            webAuthn.verify(
                    made,
                    new RegistrationParameters(
                            server(taken(made.getCollectedClientData(), me.operator())),
                            ALGORITHMS.stream()
                                    .map(a -> new PublicKeyCredentialParameters(PublicKeyCredentialType.PUBLIC_KEY, a))
                                    .toList(),
                            true,
                            true));
        } catch (DataConversionException | VerificationException e) {
            throw new InvalidRequestException("credential", "is no key that was made for this server just now");
        }
        var data = Objects.requireNonNull(Objects.requireNonNull(made.getAttestationObject())
                .getAuthenticatorData()
                .getAttestedCredentialData());
        var key = new PasskeyResponse(UUID.randomUUID(), request.name().strip(), Instant.now(clock), null);
        passkeys.add(
                me.operator(),
                key,
                data.getCredentialId(),
                credentials.convert(data),
                made.getAttestationObject().getAuthenticatorData().getSignCount());
        return key;
    }

    /**
     * Whose key has signed.
     *
     * @throws NotSignedInException where it is nobody's, or did not sign what it was asked to
     */
    @Transactional
    public UUID signedBy(PasskeySignInRequest request) {
        ValidationErrors.in(request).throwIfAny();
        try {
            AuthenticationData signed = read(request.credential(), webAuthn::parseAuthenticationResponseJSON);
            Challenge challenge = taken(signed.getCollectedClientData(), null);
            Passkeys.Stored key = passkeys.by(signed.getCredentialId()).orElseThrow(PasskeySessions::refusal);
            var known = new CredentialRecordImpl(
                    new NoneAttestationStatement(),
                    null,
                    null,
                    null,
                    key.signatureCount(),
                    credentials.convert(key.credential()),
                    null,
                    null,
                    null,
                    null);
            webAuthn.verify(signed, new AuthenticationParameters(server(challenge), known, null, true, true));
            passkeys.used(
                    key.id(),
                    Objects.requireNonNull(signed.getAuthenticatorData()).getSignCount(),
                    Instant.now(clock));
            return key.operator();
        } catch (DataConversionException | VerificationException e) {
            throw PasskeySessions.refusal();
        }
    }

    @Transactional
    public void remove(AtWork me, UUID id) {
        if (!passkeys.remove(id, me.operator())) {
            throw new NotFoundException("passkey", id);
        }
    }

    /** Whatever is wrong with what a device gave is wrong with it, also where the library does not foresee it. */
    private static <T> T read(JsonNode credential, Function<String, T> reader) {
        try {
            return reader.apply(credential.toString());
        } catch (RuntimeException e) {
            throw new DataConversionException(e);
        }
    }

    private byte[] challenge(@Nullable UUID operator) {
        byte[] challenge = new byte[CHALLENGE_BYTES];
        RANDOM.nextBytes(challenge);
        Instant now = Instant.now(clock);
        if (!passkeys.ask(challenge, operator, now, now.plus(ANSWERED_WITHIN))) {
            throw new BusyException("too many want to sign in", RETRY_AFTER_S);
        }
        return challenge;
    }

    /** What was to be signed: asked of this operator, not answered before, and not too long ago. */
    private Challenge taken(@Nullable CollectedClientData client, @Nullable UUID operator) {
        Challenge challenge = Objects.requireNonNull(client).getChallenge();
        if (!passkeys.take(challenge.getValue(), operator, Instant.now(clock))) {
            throw new VerificationException("not asked for") {};
        }
        return challenge;
    }

    private ServerProperty server(Challenge challenge) {
        return ServerProperty.builder()
                .origin(new Origin(address.of("")))
                .rpId(host())
                .challenge(new DefaultChallenge(challenge.getValue()))
                .build();
    }

    private String host() {
        return address.host()
                .orElseThrow(() -> new InvalidRequestException("", "whoever is alone here does not sign in"));
    }

    private static String text(byte[] bytes) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    private static byte[] bytes(UUID id) {
        return ByteBuffer.allocate(16)
                .putLong(id.getMostSignificantBits())
                .putLong(id.getLeastSignificantBits())
                .array();
    }
}
