package org.eskiz.server.problem;

/** Lends the advice to tests of single controllers. */
public final class ProblemAdvices {

    private ProblemAdvices() {}

    public static Object advice() {
        return new ProblemAdvice();
    }
}
