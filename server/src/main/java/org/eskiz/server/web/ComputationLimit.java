package org.eskiz.server.web;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.eskiz.server.problem.BusyException;
import org.eskiz.server.problem.ClientGoneException;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Lets as many computations run at once as there are cores, a few more wait their turn, and refuses the rest, so that whatever
 * only reads and writes is answered meanwhile.
 */
@Configuration(proxyBeanMethods = false)
class ComputationLimit implements WebMvcConfigurer, HandlerInterceptor, MeterBinder {

    /** As many as wait hold a thread each; the server has twice as many. */
    private static final int MOST_WAITING = 36;

    private static final int LONGEST_WAIT_S = 3;
    private static final int RETRY_AFTER_S = 1;
    private static final String RUNS = ComputationLimit.class.getName();

    private final int mostRunning;
    private final int mostWaiting;
    private final int mostOfOne;
    private final Semaphore running;
    private final Semaphore waiting;

    /** How many are under way for each of many operators. */
    private final Map<String, Integer> underWay = new ConcurrentHashMap<>();

    @Autowired
    ComputationLimit(PublicAddress address, @Value("${eskiz.quota.computations}") int mostOfOne) {
        this(
                Runtime.getRuntime().availableProcessors(),
                MOST_WAITING,
                address.isOpen() ? mostOfOne : Integer.MAX_VALUE);
    }

    ComputationLimit(int mostRunning, int mostWaiting, int mostOfOne) {
        this.mostRunning = mostRunning;
        this.mostWaiting = mostWaiting;
        this.mostOfOne = mostOfOne;
        this.running = new Semaphore(mostRunning, true);
        this.waiting = new Semaphore(mostWaiting);
    }

    @Override
    public void bindTo(MeterRegistry metrics) {
        Gauge.builder("eskiz.computations.running", () -> mostRunning - running.availablePermits())
                .register(metrics);
        Gauge.builder("eskiz.computations.waiting", () -> mostWaiting - waiting.availablePermits())
                .register(metrics);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws InterruptedException {
        if (handler instanceof HandlerMethod method && method.hasMethodAnnotation(Computation.class)) {
            String operator = operator(request);
            beginFor(operator);
            try {
                awaitTurn();
            } catch (InterruptedException | BusyException e) {
                endFor(operator);
                throw e;
            }
            request.setAttribute(RUNS, operator);
            releaseUnlessListening(request);
        }
        return true;
    }

    /** Who has gone while waiting is not worked for; what this throws is not followed by a completion. */
    private void releaseUnlessListening(HttpServletRequest request) {
        try {
            Client.requireListening();
        } catch (ClientGoneException e) {
            afterCompletion(request, null, null, e);
            throw e;
        }
    }

    /** Nobody takes all that there is: whoever has so many under way waits for one of them to end. */
    private void beginFor(String operator) {
        if (underWay.merge(operator, 1, Integer::sum) > mostOfOne && !operator.isEmpty()) {
            endFor(operator);
            throw new BusyException(
                    "you have %d computations under way, as many as one operator may".formatted(mostOfOne),
                    RETRY_AFTER_S);
        }
    }

    private void endFor(String operator) {
        underWay.computeIfPresent(operator, (name, count) -> count == 1 ? null : count - 1);
    }

    /** Empty for somebody who has not signed in yet. */
    private static String operator(HttpServletRequest request) {
        Principal operator = request.getUserPrincipal();
        return operator == null ? "" : operator.getName();
    }

    private void awaitTurn() throws InterruptedException {
        // the plain tryAcquire would pass by those who wait
        if (running.tryAcquire(0, TimeUnit.SECONDS)) {
            return;
        }
        if (!waiting.tryAcquire()) {
            throw new BusyException(RETRY_AFTER_S);
        }
        try {
            if (!running.tryAcquire(LONGEST_WAIT_S, TimeUnit.SECONDS)) {
                throw new BusyException(RETRY_AFTER_S);
            }
        } finally {
            waiting.release();
        }
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception thrown) {
        if (request.getAttribute(RUNS) instanceof String operator) {
            request.removeAttribute(RUNS);
            running.release();
            endFor(operator);
        }
    }
}
