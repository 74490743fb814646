package org.eskiz.server.operator.signin.passkey;

import java.io.ByteArrayOutputStream;
import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.MessageDigest;
import java.security.Signature;
import java.security.interfaces.ECPublicKey;
import java.security.spec.ECGenParameterSpec;
import java.util.Arrays;
import java.util.Base64;

/** A device that makes a key and signs with it, as the WebAuthn standard has it: what a browser would give is written out here. */
final class Device {

    private static final int PRESENT_AND_VERIFIED = 0x05;
    private static final int WITH_CREDENTIAL = 0x40;

    private final KeyPair key;
    private final byte[] id = new byte[20];
    private int signatures;

    Device() {
        try {
            KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
            generator.initialize(new ECGenParameterSpec("secp256r1"));
            key = generator.generateKeyPair();
            Arrays.fill(id, (byte) key.hashCode());
            System.arraycopy(key.getPublic().getEncoded(), 40, id, 0, id.length);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What it gives when it is asked to make a key. */
    String made(String challenge, String origin, String host) {
        ByteArrayOutputStream attestation = new ByteArrayOutputStream();
        attestation.write(0xa3); // a map of three
        text(attestation, "fmt");
        text(attestation, "none");
        text(attestation, "attStmt");
        attestation.write(0xa0);
        text(attestation, "authData");
        bytes(attestation, authenticator(host, PRESENT_AND_VERIFIED | WITH_CREDENTIAL, credential()));
        return """
                {"id": "%1$s", "rawId": "%1$s", "type": "public-key", "clientExtensionResults": {},
                 "response": {"clientDataJSON": "%2$s", "attestationObject": "%3$s", "transports": ["internal"]}}""".formatted(
                base64(id), base64(client("webauthn.create", challenge, origin)), base64(attestation.toByteArray()));
    }

    /** What it gives when it is asked to sign. */
    String signed(String challenge, String origin, String host) {
        return signed(challenge, origin, host, PRESENT_AND_VERIFIED);
    }

    /** @param flags whether somebody was there, and whether it was their owner */
    String signed(String challenge, String origin, String host, int flags) {
        signatures++;
        byte[] client = client("webauthn.get", challenge, origin);
        byte[] authenticator = authenticator(host, flags, new byte[0]);
        try {
            Signature signature = Signature.getInstance("SHA256withECDSA");
            signature.initSign(key.getPrivate());
            signature.update(authenticator);
            signature.update(sha256(client));
            return """
                    {"id": "%1$s", "rawId": "%1$s", "type": "public-key", "clientExtensionResults": {},
                     "response": {"clientDataJSON": "%2$s", "authenticatorData": "%3$s", "signature": "%4$s"}}""".formatted(base64(id), base64(client), base64(authenticator), base64(signature.sign()));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static byte[] client(String type, String challenge, String origin) {
        return "{\"type\":\"%s\",\"challenge\":\"%s\",\"origin\":\"%s\",\"crossOrigin\":false}"
                .formatted(type, challenge, origin)
                .getBytes(StandardCharsets.UTF_8);
    }

    private byte[] authenticator(String host, int flags, byte[] credential) {
        return ByteBuffer.allocate(37 + credential.length)
                .put(sha256(host.getBytes(StandardCharsets.UTF_8)))
                .put((byte) flags)
                .putInt(signatures)
                .put(credential)
                .array();
    }

    private byte[] credential() {
        ECPublicKey made = (ECPublicKey) key.getPublic();
        ByteArrayOutputStream cose = new ByteArrayOutputStream();
        cose.writeBytes(new byte[] {(byte) 0xa5, 0x01, 0x02, 0x03, 0x26, 0x20, 0x01, 0x21}); // EC2, ES256, P-256, x
        bytes(cose, fixed(made.getW().getAffineX()));
        cose.write(0x22); // y
        bytes(cose, fixed(made.getW().getAffineY()));
        return ByteBuffer.allocate(18 + id.length + cose.size())
                .put(new byte[16])
                .putShort((short) id.length)
                .put(id)
                .put(cose.toByteArray())
                .array();
    }

    private static byte[] fixed(BigInteger coordinate) {
        byte[] written = coordinate.toByteArray();
        byte[] fixed = new byte[32];
        int from = Math.max(0, written.length - 32);
        System.arraycopy(written, from, fixed, 32 - (written.length - from), written.length - from);
        return fixed;
    }

    private static void text(ByteArrayOutputStream cbor, String text) {
        cbor.write(0x60 | text.length());
        cbor.writeBytes(text.getBytes(StandardCharsets.US_ASCII));
    }

    private static void bytes(ByteArrayOutputStream cbor, byte[] bytes) {
        cbor.write(0x58);
        cbor.write(bytes.length);
        cbor.writeBytes(bytes);
    }

    private static byte[] sha256(byte[] bytes) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(bytes);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String base64(byte[] bytes) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }
}
