package lexicor.core.safety;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Reach;
import lexicor.core.catalogue.TestId;

/**
 * What the recorded range of a joint leaves out of reach. Angles in degrees.
 *
 * @param test that records the range
 * @param slack how far beyond what was recorded a test may go
 * @param forward parts that limit elevation to the front, the first that was recorded counts
 * @param sideways parts that limit elevation to the side
 * @param active those of them that are the patient's own movement, which weakness shortens too
 * @param free part that shows passive movement to be free, so that active ones limit nothing
 * @param freeFrom from which it does
 * @param rotation part that limits turning out
 * @param needed turning out from which it is asked
 * @param least of it that such a test needs
 */
public record RangeLimit(
        String region,
        TestId test,
        double slack,
        List<String> forward,
        List<String> sideways,
        Set<String> active,
        String free,
        double freeFrom,
        String rotation,
        double needed,
        double least) {

    /** From this plane on, an elevation is one to the front. */
    private static final double TO_THE_FRONT = 45;

    public RangeLimit {
        forward = List.copyOf(forward);
        sideways = List.copyOf(sideways);
        active = Set.copyOf(active);
    }

    Optional<String> whyNot(ExaminationTest wanted, Answers recorded) {
        if (wanted.reach().isEmpty() || wanted.id().equals(test)) {
            return Optional.empty();
        }
        Reach reach = wanted.reach().get();
        boolean passiveFree = measure(recorded, free).orElse(0) >= freeFrom;
        for (String part : reach.plane() >= TO_THE_FRONT ? forward : sideways) {
            OptionalDouble known = measure(recorded, part);
            if (known.isPresent() && !(passiveFree && active.contains(part))) {
                if (reach.elevation() > known.getAsDouble() + slack) {
                    return Optional.of("it takes the arm to " + Math.round(reach.elevation()) + "°; recorded: "
                            + Math.round(known.getAsDouble()) + "°");
                }
                break;
            }
        }
        OptionalDouble turned = measure(recorded, rotation);
        return turned.isPresent() && reach.rotation() >= needed && turned.getAsDouble() < least
                ? Optional.of("it turns the arm out by " + Math.round(reach.rotation()) + "°; recorded: "
                        + Math.round(turned.getAsDouble()) + "°")
                : Optional.empty();
    }

    private static OptionalDouble measure(Answers recorded, String part) {
        return recorded.measure(Answers.Asked.THIS, part);
    }
}
