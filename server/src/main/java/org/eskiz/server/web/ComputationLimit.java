package org.eskiz.server.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.eskiz.server.problem.BusyException;
import org.eskiz.server.problem.ClientGoneException;
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
class ComputationLimit implements WebMvcConfigurer, HandlerInterceptor {

    /** As many as wait hold a thread each; the server has twice as many. */
    private static final int MOST_WAITING = 36;

    private static final int LONGEST_WAIT_S = 3;
    private static final int RETRY_AFTER_S = 1;
    private static final String RUNS = ComputationLimit.class.getName();

    private final Semaphore running;
    private final Semaphore waiting;

    ComputationLimit() {
        this(Runtime.getRuntime().availableProcessors(), MOST_WAITING);
    }

    ComputationLimit(int mostRunning, int mostWaiting) {
        this.running = new Semaphore(mostRunning, true);
        this.waiting = new Semaphore(mostWaiting);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws InterruptedException {
        if (handler instanceof HandlerMethod method && method.hasMethodAnnotation(Computation.class)) {
            awaitTurn();
            request.setAttribute(RUNS, true);
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
        if (request.getAttribute(RUNS) != null) {
            request.removeAttribute(RUNS);
            running.release();
        }
    }
}
