package lexicor.server.load;

import java.time.Duration;
import java.util.EnumMap;
import java.util.Map;
import org.aspectj.lang.ProceedingJoinPoint;
import org.aspectj.lang.annotation.Around;
import org.aspectj.lang.annotation.Aspect;
import org.aspectj.lang.reflect.MethodSignature;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Has requests marked by {@link InTurn} wait for their turn, before they hold anything else. */
@Aspect
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class TurnAspect {

    private static final String BUSY =
            "The server is busy with other requests of this kind. Please try again in a moment.";

    private final Map<InTurn.Kind, Turns> turns = new EnumMap<>(Map.of(
            InTurn.Kind.CALCULATOR, new Turns(Turns.halfTheMachine(), 16, Duration.ofSeconds(5), BUSY),
            InTurn.Kind.WEIGHING,
                    new Turns(Runtime.getRuntime().availableProcessors(), 64, Duration.ofSeconds(20), BUSY),
            InTurn.Kind.LEDGER, new Turns(1, 12, Duration.ofSeconds(60), BUSY),
            InTurn.Kind.PAPER, new Turns(1, 12, Duration.ofSeconds(30), BUSY)));

    @Around("@annotation(lexicor.server.load.InTurn) || @within(lexicor.server.load.InTurn)")
    public Object inTurn(ProceedingJoinPoint request) throws Throwable {
        MethodSignature signature = (MethodSignature) request.getSignature();
        InTurn own = AnnotatedElementUtils.findMergedAnnotation(signature.getMethod(), InTurn.class);
        InTurn kind = own != null
                ? own
                : AnnotatedElementUtils.findMergedAnnotation(signature.getDeclaringType(), InTurn.class);
        try (Turns.Turn turn = turns.get(kind.value()).take()) {
            return request.proceed();
        }
    }
}
