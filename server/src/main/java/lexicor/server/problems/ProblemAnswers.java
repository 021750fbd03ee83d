package lexicor.server.problems;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import lexicor.server.disk.DiskRoom;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.MismatchedInputException;

/**
 * Turns faults into problem+json. {@code field} names the first field at fault and {@code errors} all of them, each
 * with what is allowed. Nothing of the inner workings leaves the server.
 */
@RestControllerAdvice
class ProblemAnswers extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAnswers.class);

    private final DiskRoom room;

    ProblemAnswers(DiskRoom room) {
        this.room = room;
    }

    @ExceptionHandler
    ProblemDetail badInput(BadInput fault) {
        return problem(fault.faults());
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFound fault) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, fault.getMessage());
    }

    @ExceptionHandler
    ProblemDetail conflict(Conflict fault) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, fault.getMessage());
    }

    @ExceptionHandler
    ProblemDetail closed(Closed fault) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.LOCKED, fault.getMessage());
    }

    @ExceptionHandler
    ProblemDetail forbidden(Forbidden fault) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, fault.getMessage());
    }

    @ExceptionHandler
    ProblemDetail notSignedIn(NotSignedIn fault) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED, fault.getMessage());
    }

    @ExceptionHandler
    ProblemDetail secondFactorNeeded(SecondFactorNeeded fault) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED, fault.getMessage());
        problem.setProperty("field", "code");
        return problem;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> busy(Busy fault) {
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, String.valueOf(fault.seconds()))
                .body(ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, fault.getMessage()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> tooManyTries(TooManyTries fault) {
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, String.valueOf(fault.seconds()))
                .body(ProblemDetail.forStatusAndDetail(HttpStatus.TOO_MANY_REQUESTS, fault.getMessage()));
    }

    /** Two people changed the same thing; the second one is asked to look again. */
    @ExceptionHandler
    ProblemDetail overtaken(ObjectOptimisticLockingFailureException fault) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, "Somebody else changed this in the meantime. Please look at it again.");
    }

    /**
     * Two savers met at the same moment: the second attempt finds what the first has left. Any other rule of the tables
     * is broken by what was sent, and would be broken again.
     */
    @ExceptionHandler
    ProblemDetail refusedByTheTables(DataIntegrityViolationException fault) {
        if (SameKey.is(fault)) {
            LOG.info("Two requests saved the same thing at once");
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "The same thing was being saved at the same moment. Please try again.");
        }
        LOG.warn(
                "A request broke a rule of the tables: {}",
                fault.getMostSpecificCause().getMessage());
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.UNPROCESSABLE_CONTENT, "This cannot be kept as it is. Nothing was changed.");
    }

    /** Somebody else has held the same record for longer than one waits. */
    @ExceptionHandler
    ProblemDetail waitedInVain(PessimisticLockingFailureException fault) {
        LOG.info("A request waited in vain for another to finish");
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE, "Somebody else is saving this just now. Please try again.");
    }

    @ExceptionHandler
    ProblemDetail mismatch(MethodArgumentTypeMismatchException fault) {
        String type = fault.getRequiredType() == null
                ? "value"
                : fault.getRequiredType().getSimpleName();
        return problem(List.of(new FieldFault(fault.getName(), "cannot be read; allowed: a " + type)));
    }

    @ExceptionHandler
    ProblemDetail unforeseen(Exception fault) {
        if (!room.isThere() || isFull(fault)) {
            LOG.warn("The disk is full: {}", fault.toString());
            return ProblemDetail.forStatusAndDetail(HttpStatus.INSUFFICIENT_STORAGE, DiskRoom.FULL);
        }
        if (RecordGone.is(fault)) {
            LOG.warn("The database was not there for a request: {}", fault.toString());
            return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, RecordGone.WORDS);
        }
        LOG.error("A request failed", fault);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong on the server. What was saved before is safe; please try again.");
    }

    private static boolean isFull(Throwable fault) {
        for (Throwable cause = fault; cause != null; cause = cause.getCause()) {
            if (cause instanceof IOException
                    && String.valueOf(cause.getMessage()).contains("No space left")) {
                return true;
            }
        }
        return false;
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException fault, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<FieldFault> faults = fault.getFieldErrors().stream()
                .map(error -> new FieldFault(error.getField(), error.getDefaultMessage()))
                .sorted((a, b) -> a.field().compareTo(b.field()))
                .toList();
        return ResponseEntity.badRequest().body(problem(faults));
    }

    /** Faults in what stands behind the question mark of an address. */
    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(
            HandlerMethodValidationException fault, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<FieldFault> faults = fault.getParameterValidationResults().stream()
                .map(result -> new FieldFault(
                        result.getMethodParameter().getParameterName(),
                        result.getResolvableErrors().get(0).getDefaultMessage()))
                .toList();
        return ResponseEntity.badRequest().body(problem(faults));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException fault, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String field = "body";
        String message = "cannot be read; allowed: JSON";
        if (fault.getCause() instanceof JacksonException unreadable
                && !unreadable.getPath().isEmpty()) {
            field = JsonPath.of(unreadable);
            message = "cannot be read; allowed: " + allowed(unreadable);
        }
        return ResponseEntity.badRequest().body(problem(List.of(new FieldFault(field, message))));
    }

    private static ProblemDetail problem(List<FieldFault> faults) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST,
                faults.stream()
                        .map(fault -> fault.field() + ": " + fault.message())
                        .collect(Collectors.joining("; ")));
        problem.setTitle("Please check what was entered");
        problem.setProperty("field", faults.get(0).field());
        problem.setProperty("errors", faults);
        return problem;
    }

    private static String allowed(JacksonException fault) {
        if (!(fault instanceof MismatchedInputException mismatch) || mismatch.getTargetType() == null) {
            return "a value of the right kind";
        }
        Class<?> type = mismatch.getTargetType();
        if (type.isEnum()) {
            return Arrays.stream(type.getEnumConstants()).map(String::valueOf).collect(Collectors.joining(", "));
        }
        if (type == long.class || type == int.class || type == Long.class || type == Integer.class) {
            return "a whole number";
        }
        if (type == double.class || type == Double.class) {
            return "a number";
        }
        return type == boolean.class || type == Boolean.class ? "true or false" : "a " + type.getSimpleName();
    }
}
