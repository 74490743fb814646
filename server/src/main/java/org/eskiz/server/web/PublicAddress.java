package org.eskiz.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Under which address this server is known to others. Without one it is alone: it listens on loopback, and nobody signs in.
 */
@Component
public class PublicAddress {

    private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]");

    private final Optional<URI> address;

    PublicAddress(@Value("${eskiz.address}") String address) {
        this.address = address.isBlank() ? Optional.empty() : Optional.of(read(address.strip()));
    }

    private static URI read(String address) {
        String allowed =
                "ESKIZ_ADDRESS must be like https://club.example or https://club.example:8443, not \"" + address + "\"";
        try {
            URI read = URI.create(address);
            boolean isBare = read.getRawPath().isEmpty() && read.getRawQuery() == null && read.getRawFragment() == null;
            if (!isBare
                    || read.getHost() == null
                    || !("https".equals(read.getScheme()) || "http".equals(read.getScheme()))) {
                throw new IllegalStateException(allowed);
            }
            return read;
        } catch (IllegalArgumentException | NullPointerException e) {
            throw new IllegalStateException(allowed, e);
        }
    }

    /** Whether it is open to others, who sign in. */
    public boolean isOpen() {
        return address.isPresent();
    }

    /** The host of it. */
    public Optional<String> host() {
        return address.map(URI::getHost);
    }

    /** The address of a page, for a link. */
    public String of(String path) {
        return address.map(URI::toString).orElse("") + path;
    }

    /** Whether a request was sent to this server under a name of its own: of another name it may have been tricked. */
    boolean isNamedBy(HttpServletRequest request) {
        return LOOPBACK.contains(request.getServerName())
                || address.filter(a -> a.getHost().equalsIgnoreCase(request.getServerName()))
                        .isPresent();
    }

    /** Whether a page of this very server sends it. */
    boolean isOrigin(String origin, HttpServletRequest request) {
        try {
            URI from = URI.create(origin);
            return isThisServer(from, request)
                    || address.filter(a -> isSame(a, from)).isPresent();
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static boolean isThisServer(URI from, HttpServletRequest request) {
        return request.getScheme().equals(from.getScheme())
                && request.getServerName().equals(from.getHost())
                && request.getServerPort() == port(from);
    }

    private static boolean isSame(URI one, URI other) {
        return one.getScheme().equals(other.getScheme())
                && one.getHost().equalsIgnoreCase(other.getHost())
                && port(one) == port(other);
    }

    /** A browser leaves out the port that its scheme has anyway. */
    private static int port(URI origin) {
        if (origin.getPort() >= 0) {
            return origin.getPort();
        }
        return "https".equals(origin.getScheme()) ? 443 : 80;
    }
}
