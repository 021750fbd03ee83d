package lexicor.server.audit;

import java.util.Collection;
import org.aspectj.lang.ProceedingJoinPoint;
import org.aspectj.lang.annotation.Around;
import org.aspectj.lang.annotation.Aspect;
import org.aspectj.lang.reflect.MethodSignature;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;

/** Writes the line of a {@link Traced} request once it succeeded, in one transaction with it: neither is kept without the other. */
@Aspect
@Component
class TraceAspect {

    private final Trail trail;

    TraceAspect(Trail trail) {
        this.trail = trail;
    }

    @Around("@annotation(traced)")
    @Transactional(rollbackFor = Throwable.class)
    public Object trace(ProceedingJoinPoint request, Traced traced) throws Throwable {
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
        return several ? ((Collection<?>) answer).size() + (((Collection<?>) answer).size() == 1 ? " entry" : " entries") : "";
    }
}
