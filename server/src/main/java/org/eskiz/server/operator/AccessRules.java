package org.eskiz.server.operator;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.eskiz.server.problem.NotAllowedException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.NotSignedInException;
import org.eskiz.server.web.Computation;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.AsyncHandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Lets to a route whom it is open to, before anything is looked up: whoever may not is told so, whatever they asked for. From
 * then on the thread works for whoever was let in.
 */
@Configuration(proxyBeanMethods = false)
public class AccessRules implements WebMvcConfigurer, AsyncHandlerInterceptor {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**").order(Ordered.HIGHEST_PRECEDENCE);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        // whoever this thread worked for before has nothing to do with it
        AtWork.end();
        Optional<AtWork> signedIn = AtWork.signedIn();
        if (handler instanceof HandlerMethod route && !isOpenToAnybody(route)) {
            AtWork atWork = signedIn.orElseThrow(NotSignedInException::new);
            Role asked = leastRole(route, request.getMethod());
            if (!atWork.role().covers(asked)) {
                throw new NotAllowedException(
                        asked == Role.KEEPER
                                ? "this is for keepers of the workshop"
                                : "guests of the workshop look and compute, and change nothing");
            }
            atWork.onlyPlan().ifPresent(plan -> requireOpenToVisitors(route, request, plan));
        }
        signedIn.ifPresent(AtWork::begin);
        return true;
    }

    private static void requireOpenToVisitors(HandlerMethod route, HttpServletRequest request, UUID plan) {
        if (!isOpenToVisitors(route)) {
            throw new NotAllowedException("this link leads to one plan, and to nothing else");
        }
        Map<?, ?> named = (Map<?, ?>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        if (named != null && named.containsKey("id") && !plan.toString().equals(named.get("id"))) {
            throw new NotFoundException("plan", named.get("id"));
        }
    }

    public static boolean isOpenToVisitors(HandlerMethod route) {
        return route.hasMethodAnnotation(OpenToVisitors.class)
                || AnnotatedElementUtils.hasAnnotation(route.getBeanType(), OpenToVisitors.class);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception thrown) {
        AtWork.end();
    }

    @Override
    public void afterConcurrentHandlingStarted(
            HttpServletRequest request, HttpServletResponse response, Object handler) {
        AtWork.end();
    }

    public static boolean isOpenToAnybody(HandlerMethod route) {
        return route.hasMethodAnnotation(OpenToAnybody.class)
                || AnnotatedElementUtils.hasAnnotation(route.getBeanType(), OpenToAnybody.class);
    }

    /** The least role that a route is open to. */
    public static Role leastRole(HandlerMethod route, String method) {
        OpenTo said = route.getMethodAnnotation(OpenTo.class);
        if (said == null) {
            said = AnnotatedElementUtils.findMergedAnnotation(route.getBeanType(), OpenTo.class);
        }
        if (said != null) {
            return said.value();
        }
        return READING.contains(method) || route.hasMethodAnnotation(Computation.class) ? Role.GUEST : Role.MEMBER;
    }
}
