package org.eskiz.server.http;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** The front end's own addresses all open the one page; it finds its way from there. */
@Configuration(proxyBeanMethods = false)
class SinglePage implements WebMvcConfigurer {

    @Override
    public void addViewControllers(ViewControllerRegistry registry) {
        for (String address : new String[] {
            "/",
            "/plans",
            "/plans/{id}",
            "/cables",
            "/cables/anatomy",
            "/bench",
            "/bench/new",
            "/bench/{id}",
            "/guide",
            "/locker",
            "/locker/{id}",
            "/settings"
        }) {
            registry.addViewController(address).setViewName("forward:/index.html");
        }
    }
}
