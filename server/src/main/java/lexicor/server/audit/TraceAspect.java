package lexicor.server.audit;

import java.util.Collection;
import org.aspectj.lang.ProceedingJoinPoint;
import org.aspectj.lang.annotation.Around;
import org.aspectj.lang.annotation.Aspect;
import org.aspectj.lang.reflect.MethodSignature;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.PathVariable;

/**
 * Writes the line of a {@link Traced} request once it succeeded. What changes anything is in one transaction with its
 * line: neither is kept without the other. What only looks writes its line afterwards, so that no connection is held
 * while something is computed; without a line nothing is handed out.
 */
@Aspect
@Component
class TraceAspect {

    private final AuditLog trail;
    private final TransactionTemplate transaction;

    TraceAspect(AuditLog trail, PlatformTransactionManager transactions) {
        this.trail = trail;
        this.transaction = new TransactionTemplate(transactions);
    }

    @Around("@annotation(traced)")
    public Object trace(ProceedingJoinPoint request, Traced traced) throws Throwable {
        if (traced.action().reads()) {
            return traced(request, traced);
        }
        try {
            return transaction.execute(status -> {
                try {
                    return traced(request, traced);
                } catch (RuntimeException | Error fault) {
                    throw fault;
                } catch (Throwable fault) {
                    throw new Checked(fault);
                }
            });
        } catch (Checked fault) {
            throw fault.getCause();
        }
    }

    /** Carries a checked exception out of a transaction, which is rolled back by it. */
    private static final class Checked extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Checked(Throwable cause) {
            super(cause);
        }
    }

    private Object traced(ProceedingJoinPoint request, Traced traced) throws Throwable {
        Object answer = request.proceed();
        trail.add(traced.action(), traced.subject(), subjectId(request, answer), detail(answer, traced));
        return answer;
    }

    private static String subjectId(ProceedingJoinPoint request, Object answer) {
        var parameters = ((MethodSignature) request.getSignature()).getMethod().getParameters();
        for (int i = 0; i < parameters.length; i++) {
            if (parameters[i].isAnnotationPresent(PathVariable.class)) {
                return String.valueOf(request.getArgs()[i]);
            }
        }
        return answer instanceof Traced.Known known ? known.tracedId() : "";
    }

    private static String detail(Object answer, Traced traced) {
        boolean several = traced.action() == Action.ENTERED && answer instanceof Collection<?>;
        return several
                ? ((Collection<?>) answer).size() + (((Collection<?>) answer).size() == 1 ? " entry" : " entries")
                : "";
    }
}
