package org.eskiz.server.store;

import jakarta.persistence.PersistenceException;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.support.DataAccessUtils;
import org.springframework.dao.support.PersistenceExceptionTranslator;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Stores what a client sends under an id of its own, once, however often it is sent: a create whose answer was lost does no
 * harm. What two send at the same moment is decided by the database, and the second finds what the first has stored.
 */
@Component
public class IdempotentStore {

    private final TransactionTemplate transaction;
    private final PersistenceExceptionTranslator translator;

    IdempotentStore(PlatformTransactionManager transactions, PersistenceExceptionTranslator translator) {
        this.transaction = new TransactionTemplate(transactions);
        this.translator = translator;
    }

    /**
     * Creates, or answers what is stored already.
     *
     * @param stored what is there under the id; it throws where that says something else
     * @param create stores it, and flushes
     */
    public <T> T createOrRepeat(Supplier<Optional<T>> stored, Supplier<T> create) {
        try {
            return inTransaction(() -> stored.get().orElseGet(create));
        } catch (DataIntegrityViolationException | ConcurrencyFailureException raced) {
            return inTransaction(() -> stored.get().orElseGet(create));
        }
    }

    /**
     * Changes what is stored over the version that a client started from.
     *
     * @param change throws a conflict where that is not the newest version, and flushes
     * @param conflict what to say when somebody else writes at the same moment
     */
    public <T> T change(Supplier<T> change, Supplier<? extends RuntimeException> conflict) {
        try {
            return inTransaction(change);
        } catch (DataIntegrityViolationException | ConcurrencyFailureException raced) {
            throw inTransaction(conflict);
        }
    }

    private <T> T inTransaction(Supplier<T> step) {
        try {
            return transaction.execute(status -> step.get());
        } catch (PersistenceException e) {
            // what is stored without a repository is told by Hibernate in its own words
            throw DataAccessUtils.translateIfNecessary(e, translator);
        }
    }
}
