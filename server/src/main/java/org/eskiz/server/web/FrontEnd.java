package org.eskiz.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import org.springframework.web.servlet.resource.ResourceTransformerChain;
import org.springframework.web.servlet.resource.TransformedResource;

/** The front end as static files. Its own addresses all open the one page, which finds its way from there. */
@Configuration(proxyBeanMethods = false)
class FrontEnd implements WebMvcConfigurer {

    static final Resource PAGE = new ClassPathResource("/META-INF/resources/index.html");

    private static final String FILES = "classpath:/META-INF/resources/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        // their names change with their content
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(FILES + "assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable())
                .resourceChain(true)
                .addTransformer(FrontEnd::inMemory);
        registry.addResourceHandler("/**")
                .addResourceLocations(FILES)
                .setCacheControl(CacheControl.noCache())
                // not kept: to a program nothing may stand where a browser finds the page
                .resourceChain(false)
                .addResolver(new OnePage());
    }

    /** Unpacked once, not for every request; the chain keeps what this makes. */
    private static Resource inMemory(HttpServletRequest request, Resource file, ResourceTransformerChain chain)
            throws IOException {
        return new TransformedResource(chain.transform(request, file), file.getContentAsByteArray());
    }

    private static final class OnePage extends PathResourceResolver {

        @Override
        protected Resource getResource(String path, Resource location) throws IOException {
            Resource file = path.isEmpty() ? null : super.getResource(path, location);
            return file != null || !(isAddressOfThePage(path) || isAskedByAPerson()) ? file : PAGE;
        }

        /** Somebody who typed an address reads a page, whatever stands there or does not. */
        private static boolean isAskedByAPerson() {
            return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes asked
                    && Optional.ofNullable(asked.getRequest().getHeader(HttpHeaders.ACCEPT))
                            .filter(accepted -> accepted.contains(MediaType.TEXT_HTML_VALUE))
                            .isPresent();
        }

        /** A name with a dot is a file; what programs ask for is no page either. */
        private static boolean isAddressOfThePage(String path) {
            String last = path.substring(path.lastIndexOf('/') + 1);
            return !last.contains(".") && !path.matches("(api|v3|actuator|assets)(/.*)?");
        }
    }
}
