package org.eskiz.server.problem;

import jakarta.persistence.EntityExistsException;
import jakarta.persistence.OptimisticLockException;
import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.hibernate.exception.ConstraintViolationException;
import org.hibernate.exception.JDBCConnectionException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.orm.jpa.JpaSystemException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Every error that leaves the server, as {@code application/problem+json}. */
@RestControllerAdvice
class ProblemAdvice {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    /** PostgreSQL's error code. */
    private static final String DISK_FULL = "53100";

    @ExceptionHandler(InvalidRequestException.class)
    ResponseEntity<ProblemDetail> invalid(InvalidRequestException e) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, "The request cannot be", e.getMessage(), e.errors());
    }

    @ExceptionHandler(NotFoundException.class)
    ResponseEntity<ProblemDetail> notHere(NotFoundException e) {
        return problem(HttpStatus.NOT_FOUND, "Not here", e.getMessage(), List.of());
    }

    /** The current state travels with the conflict, so that both versions can be shown side by side. */
    @ExceptionHandler(ConflictException.class)
    ResponseEntity<ProblemDetail> changed(ConflictException e) {
        var answer = problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage(), List.of());
        answer.getBody().setProperty("current", e.current());
        return answer;
    }

    @ExceptionHandler(NotSignedInException.class)
    ResponseEntity<ProblemDetail> notSignedIn(NotSignedInException e) {
        return problem(HttpStatus.UNAUTHORIZED, "Not signed in", e.getMessage(), List.of());
    }

    @ExceptionHandler(NotAllowedException.class)
    ResponseEntity<ProblemDetail> notAllowed(NotAllowedException e) {
        return problem(HttpStatus.FORBIDDEN, "Not allowed", e.getMessage(), List.of());
    }

    @ExceptionHandler(HttpMessageNotReadableException.class)
    ResponseEntity<ProblemDetail> unreadable(HttpMessageNotReadableException e) {
        var json = causeOf(e, JacksonException.class);
        if (json.isPresent()) {
            return unreadable(json.get());
        }
        return problem(HttpStatus.BAD_REQUEST, "Unreadable", "the body is missing or cannot be read", List.of());
    }

    private static <T extends Throwable> Optional<T> causeOf(Throwable e, Class<T> type) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (type.isInstance(cause)) {
                return Optional.of(type.cast(cause));
            }
        }
        return Optional.empty();
    }

    /** Also for a part of a request that is read later, such as a plan's document. */
    @ExceptionHandler(JacksonException.class)
    ResponseEntity<ProblemDetail> unreadable(JacksonException e) {
        var fault = new FieldError(JsonPaths.of(e), whatIsUnreadable(e));
        String where = fault.path().isEmpty() ? "" : fault.path() + ": ";
        return problem(HttpStatus.BAD_REQUEST, "Unreadable", where + fault.message(), List.of(fault));
    }

    private static String whatIsUnreadable(JacksonException e) {
        if (e instanceof UnrecognizedPropertyException unknown) {
            return "the field \"" + unknown.getPropertyName() + "\" is not known here";
        }
        if (e instanceof InvalidFormatException format && format.getTargetType().isEnum()) {
            return "must be one of " + List.of(format.getTargetType().getEnumConstants()) + ", not \""
                    + format.getValue() + "\"";
        }
        String original = e.getOriginalMessage();
        return e instanceof MismatchedInputException ? JsonPaths.withoutJavaNames(original) : original;
    }

    @ExceptionHandler(UpstreamException.class)
    ResponseEntity<ProblemDetail> outside(UpstreamException e) {
        var answer = problem(HttpStatus.BAD_GATEWAY, "Outside", e.getMessage(), List.of());
        e.code().ifPresent(code -> answer.getBody().setProperty("code", code));
        return answer;
    }

    @ExceptionHandler(BusyException.class)
    ResponseEntity<ProblemDetail> busy(BusyException e) {
        var answer = problem(HttpStatus.TOO_MANY_REQUESTS, "Busy", e.getMessage(), List.of());
        return ResponseEntity.status(answer.getStatusCode())
                .headers(answer.getHeaders())
                .header(HttpHeaders.RETRY_AFTER, Integer.toString(e.retryAfterS()))
                .body(answer.getBody());
    }

    /** Nobody reads this. */
    @ExceptionHandler(ClientGoneException.class)
    ResponseEntity<ProblemDetail> gone(ClientGoneException e) {
        return problem(HttpStatus.SERVICE_UNAVAILABLE, "Gone", e.getMessage(), List.of());
    }

    /** Whoever hangs up in the middle of an answer is told nothing more, and is no fault of ours to be logged as one. */
    @ExceptionHandler(HttpMessageNotWritableException.class)
    ResponseEntity<ProblemDetail> notWritten(HttpMessageNotWritableException e) {
        return e.getMostSpecificCause() instanceof IOException ? null : other(e);
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ResponseEntity<ProblemDetail> badVariable(MethodArgumentTypeMismatchException e) {
        if (e.getParameter().hasParameterAnnotation(RequestParam.class)) {
            return invalid(new InvalidRequestException(
                    e.getName(), "must be %s, not \"%s\"".formatted(allowed(e.getRequiredType()), e.getValue())));
        }
        return problem(
                HttpStatus.NOT_FOUND,
                "Not here",
                "there is no " + e.getName() + " \"" + e.getValue() + "\"",
                List.of());
    }

    private static String allowed(Class<?> type) {
        if (type != null && type.isEnum()) {
            return "one of " + List.of(type.getEnumConstants());
        }
        if (type == Boolean.class) {
            return "true or false";
        }
        return type == Integer.class || type == Double.class ? "a number" : "an id";
    }

    /** What two wrote at the same moment, and the database let one of them: a name, a version, a piece in two places. */
    @ExceptionHandler({
        DataIntegrityViolationException.class,
        ConcurrencyFailureException.class,
        ConstraintViolationException.class,
        EntityExistsException.class,
        OptimisticLockException.class
    })
    ResponseEntity<ProblemDetail> raced(Exception e) {
        LOG.info("two writers at once: {}", e.getClass().getSimpleName());
        return problem(
                HttpStatus.CONFLICT,
                "Changed meanwhile",
                "somebody else wrote this at the same moment; nothing of yours was changed: look at what is there now, and try again",
                List.of());
    }

    @ExceptionHandler({
        CannotCreateTransactionException.class,
        TransactionSystemException.class,
        DataAccessResourceFailureException.class,
        TransientDataAccessException.class,
        JpaSystemException.class,
        JDBCConnectionException.class
    })
    ResponseEntity<ProblemDetail> databaseAway(Exception e) {
        LOG.error("the database did not answer as it should", e);
        if (causeOf(e, SQLException.class).filter(ProblemAdvice::isDiskFull).isPresent()) {
            return problem(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Disk full",
                    "the disk of the data folder is full; nothing was changed, make room and try again",
                    List.of());
        }
        return problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "Database away",
                "the database does not answer; nothing was changed, try again in a moment",
                List.of());
    }

    private static boolean isDiskFull(SQLException e) {
        return DISK_FULL.equals(e.getSQLState());
    }

    /** Spring's own refusals (no such method, wrong media type, no such page) and whatever was not foreseen. */
    @ExceptionHandler(Exception.class)
    ResponseEntity<ProblemDetail> other(Exception e) {
        if (e instanceof ErrorResponse known) {
            HttpStatusCode status = known.getStatusCode();
            return problem(status, "Refused", known.getBody().getDetail(), List.of());
        }
        LOG.error("not foreseen", e);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR, "Failed", "something failed inside; the log says more", List.of());
    }

    private static ResponseEntity<ProblemDetail> problem(
            HttpStatusCode status, String title, String detail, List<FieldError> faults) {
        ProblemDetail body = ProblemDetail.forStatusAndDetail(status, detail == null ? title : detail);
        body.setTitle(title);
        if (!faults.isEmpty()) {
            body.setProperty("errors", faults);
        }
        RequestId.current().ifPresent(id -> body.setProperty(RequestId.NAME, id));
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.APPLICATION_PROBLEM_JSON);
        return new ResponseEntity<>(body, headers, status);
    }
}
