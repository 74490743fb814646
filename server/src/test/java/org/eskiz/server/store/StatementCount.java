package org.eskiz.server.store;

import java.util.concurrent.atomic.AtomicLong;
import org.hibernate.resource.jdbc.spi.StatementInspector;

/** Counts what is asked of the database; Hibernate makes one of it by its name. */
public final class StatementCount implements StatementInspector {

    private static final AtomicLong ASKED = new AtomicLong();

    @Override
    public String inspect(String sql) {
        ASKED.incrementAndGet();
        return sql;
    }

    static long during(Runnable work) {
        long before = ASKED.get();
        work.run();
        return ASKED.get() - before;
    }
}
