package org.eskiz.server.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.EnumSet;
import java.util.List;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ValveBase;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
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
    FilterRegistrationBean<HostFilter> host(Problems problems) {
        return first(new HostFilter(problems), 1);
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
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> onLoopbackOnly(@Value("${eskiz.bind}") String bind) {
        return factory -> {
            factory.setAddress(loopback(bind));
            factory.addConnectorCustomizers(connector -> connector.setProperty("socket.txBufSize", SEND_BUFFER_BYTES));
            factory.addContextCustomizers(context -> {
                StandardHost host = (StandardHost) context.getParent();
                host.setErrorReportValveClass(ProblemReportValve.class.getName());
                context.getPipeline().addValve(new ConnectionValve());
            });
        };
    }

    private static InetAddress loopback(String bind) {
        try {
            InetAddress address = InetAddress.getByName(bind);
            if (address.isLoopbackAddress()) {
                return address;
            }
        } catch (UnknownHostException e) {
            // told below
        }
        throw new IllegalStateException("ESKIZ_BIND must be loopback while there is no sign-in, not \"" + bind + "\"");
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
