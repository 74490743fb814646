package org.eskiz.server.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.RemoteIpValve;
import org.apache.catalina.valves.ValveBase;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.Ssl;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;

/** The server behind the interface: where it listens, and what every request passes. */
@Configuration(proxyBeanMethods = false)
class WebServer {

    /** What the kernel takes for a client that does not read; it would be megabytes for each. */
    private static final String SEND_BUFFER_BYTES = Integer.toString(128 << 10);

    @Bean
    FilterRegistrationBean<RequestLogFilter> requestLog() {
        return first(new RequestLogFilter(), 0);
    }

    @Bean
    FilterRegistrationBean<HostFilter> host(Problems problems, PublicAddress address) {
        return first(new HostFilter(problems, address), 1);
    }

    @Bean
    FilterRegistrationBean<BodyFilter> bodies(ObjectProvider<BodyLimit> limits, Problems problems) {
        return first(new BodyFilter(List.copyOf(limits.stream().toList()), problems), 2);
    }

    @Bean
    FilterRegistrationBean<AnswerFilter> answers() {
        return first(new AnswerFilter(), 3);
    }

    /** Before any filter that comes with Spring, and again when a body has come. */
    private static <F extends Filter> FilterRegistrationBean<F> first(F filter, int order) {
        var registration = new FilterRegistrationBean<>(filter);
        registration.setOrder(Ordered.HIGHEST_PRECEDENCE + order);
        registration.setDispatcherTypes(EnumSet.of(DispatcherType.REQUEST, DispatcherType.ASYNC));
        registration.setAsyncSupported(true);
        return registration;
    }

    /** Without sign-in it listens on loopback, whatever else Spring can be told. */
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> listening(
            PublicAddress address,
            @Value("${eskiz.bind}") String bind,
            @Value("${eskiz.tls.certificate}") String certificate,
            @Value("${eskiz.tls.key}") String key,
            @Value("${eskiz.behind-proxy}") String proxies) {
        return factory -> {
            factory.setAddress(address(bind, address.isOpen()));
            tls(certificate, key).ifPresent(factory::setSsl);
            if (!proxies.isBlank()) {
                factory.addEngineValves(behind(proxies));
            }
            factory.addConnectorCustomizers(connector -> connector.setProperty("socket.txBufSize", SEND_BUFFER_BYTES));
            factory.addContextCustomizers(context -> {
                StandardHost host = (StandardHost) context.getParent();
                host.setErrorReportValveClass(ProblemReportValve.class.getName());
                context.getPipeline().addValve(new ConnectionValve());
            });
        };
    }

    private static InetAddress address(String bind, boolean isOpen) {
        try {
            InetAddress address = InetAddress.getByName(bind);
            if (address.isLoopbackAddress() || isOpen) {
                return address;
            }
        } catch (UnknownHostException e) {
            throw new IllegalStateException("ESKIZ_BIND must be an address of this machine, not \"" + bind + "\"", e);
        }
        throw new IllegalStateException("ESKIZ_BIND must be loopback while there is no sign-in, not \"" + bind
                + "\": ./eskiz open says how to let others in");
    }

    private static Optional<Ssl> tls(String certificate, String key) {
        if (certificate.isBlank() != key.isBlank()) {
            throw new IllegalStateException("ESKIZ_TLS_CERTIFICATE and ESKIZ_TLS_KEY go together");
        }
        if (certificate.isBlank()) {
            return Optional.empty();
        }
        Ssl ssl = new Ssl();
        ssl.setCertificate(certificate);
        ssl.setCertificatePrivateKey(key);
        ssl.setEnabledProtocols(new String[] {"TLSv1.2", "TLSv1.3"});
        return Optional.of(ssl);
    }

    /** Whom a request is from and by which address it was sent is what trusted proxies say of it. */
    private static RemoteIpValve behind(String proxies) {
        RemoteIpValve valve = new RemoteIpValve();
        valve.setInternalProxies(
                Arrays.stream(proxies.split("[ ,]+")).map(Pattern::quote).collect(Collectors.joining("|")));
        valve.setProtocolHeader("X-Forwarded-Proto");
        return valve;
    }

    private static final class ConnectionValve extends ValveBase {

        ConnectionValve() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response)
                throws java.io.IOException, jakarta.servlet.ServletException {
            Connection.attach(request);
            getNext().invoke(request, response);
        }
    }
}
