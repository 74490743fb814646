package org.eskiz.server.instrument;

import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.Objects;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Where this server itself listens, and where its database is: no instrument is there, whatever name leads to it. */
@Component
class OwnAddresses {

    private static final String JDBC = "jdbc:postgresql://";
    private static final String USUAL_DATABASE_PORT = "5432";

    private final Environment environment;

    OwnAddresses(Environment environment) {
        this.environment = environment;
    }

    /** @param address as it was resolved: a name may lead anywhere */
    boolean has(InetAddress address, int port) {
        Integer own = environment.getProperty("local.server.port", Integer.class);
        boolean isServer = Objects.equals(own, port) && isThisMachine(address);
        return isServer || isDatabase(address, port);
    }

    private boolean isDatabase(InetAddress address, int port) {
        String url = environment.getProperty("spring.datasource.url", "");
        if (!url.startsWith(JDBC)) {
            return false;
        }
        String hosts = url.substring(JDBC.length()).replaceFirst("[/?].*", "");
        return Arrays.stream(hosts.split(",")).anyMatch(host -> isAt(host, address, port));
    }

    private static boolean isAt(String hostAndPort, InetAddress address, int port) {
        int colon = hostAndPort.lastIndexOf(':');
        String host = colon < 0 ? hostAndPort : hostAndPort.substring(0, colon);
        String at = colon < 0 ? USUAL_DATABASE_PORT : hostAndPort.substring(colon + 1);
        return at.equals(Integer.toString(port)) && leadsTo(host, address);
    }

    private static boolean leadsTo(String host, InetAddress address) {
        try {
            return Arrays.stream(InetAddress.getAllByName(host))
                    .anyMatch(a -> a.equals(address) || (isThisMachine(a) && isThisMachine(address)));
        } catch (UnknownHostException e) {
            return false;
        }
    }

    private static boolean isThisMachine(InetAddress address) {
        try {
            return address.isLoopbackAddress()
                    || address.isAnyLocalAddress()
                    || NetworkInterface.getByInetAddress(address) != null;
        } catch (SocketException e) {
            return true;
        }
    }
}
