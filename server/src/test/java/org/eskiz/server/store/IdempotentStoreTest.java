package org.eskiz.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.persistence.OptimisticLockException;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import org.eskiz.server.problem.ConflictException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.dao.support.PersistenceExceptionTranslator;
import org.springframework.transaction.PlatformTransactionManager;

class IdempotentStoreTest {

    private final PlatformTransactionManager transactions = mock(PlatformTransactionManager.class);
    private final PersistenceExceptionTranslator translator = mock(PersistenceExceptionTranslator.class);
    private final IdempotentStore store = new IdempotentStore(transactions, translator);

    @Test
    void whatIsNotThereIsCreated() {
        assertThat(store.createOrRepeat(Optional::empty, () -> "made")).isEqualTo("made");
        verify(transactions).commit(any());
    }

    @Test
    void whatIsThereIsAnsweredAndNotMadeAgain() {
        assertThat(store.createOrRepeat(() -> Optional.of("there"), IdempotentStoreTest::never))
                .isEqualTo("there");
    }

    /** Two create at the same moment: the database lets one, and the other finds what that one has stored. */
    @Test
    void whoComesSecondFindsWhatTheFirstHasStored() {
        Queue<Optional<String>> stored = new ArrayDeque<>(List.of(Optional.empty(), Optional.of("the first one's")));
        assertThat(store.<String>createOrRepeat(stored::remove, () -> {
                    throw new DuplicateKeyException("key");
                }))
                .isEqualTo("the first one's");
        verify(transactions).rollback(any());
        verify(transactions, times(2)).getTransaction(any());
    }

    @Test
    void aConflictIsNotTriedAgain() {
        assertThatThrownBy(() -> store.createOrRepeat(
                        () -> {
                            throw new ConflictException("the id belongs to another", "other");
                        },
                        IdempotentStoreTest::never))
                .isInstanceOf(ConflictException.class);
        verify(transactions, times(1)).getTransaction(any());
    }

    @Test
    void aChangeOverANewerVersionIsAConflict() {
        assertThatThrownBy(() -> store.change(
                        () -> {
                            throw new OptimisticLockingFailureException("version");
                        },
                        () -> new ConflictException("changed meanwhile", "theirs")))
                .isInstanceOf(ConflictException.class)
                .hasMessageContaining("changed meanwhile");
    }

    @Test
    void whatHibernateSaysInItsOwnWordsIsUnderstood() {
        when(translator.translateExceptionIfPossible(any()))
                .thenReturn(new OptimisticLockingFailureException("version"));
        assertThatThrownBy(() -> store.change(
                        () -> {
                            throw new OptimisticLockException();
                        },
                        () -> new ConflictException("changed meanwhile", "theirs")))
                .isInstanceOf(ConflictException.class);
    }

    @Test
    void anotherFailureStaysWhatItIs() {
        assertThatThrownBy(() -> store.change(
                        () -> {
                            throw new IllegalStateException("out of order");
                        },
                        () -> new ConflictException("changed meanwhile", "theirs")))
                .isInstanceOf(IllegalStateException.class);
    }

    private static String never() {
        throw new AssertionError("this must not be done");
    }
}
