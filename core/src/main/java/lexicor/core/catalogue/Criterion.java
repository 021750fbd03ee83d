package lexicor.core.catalogue;

import java.util.List;
import java.util.Optional;

/**
 * One way in which a test's response is judged. Neither rule holding though all is known means that the answer cannot
 * be read by this criterion.
 *
 * @param counts phrase for a positive, such as "familiar pain in the arc"
 * @param clear phrase for a negative
 * @param unread phrase for an answer that is neither; phrases may name a part as {@code {part}}
 * @param gates reasons that hold for this criterion alone
 * @param sameAs another criterion of the test by which studies recorded the same observation; empty where there is none
 */
public record Criterion(
        CriterionId id,
        Rule positive,
        Rule negative,
        String counts,
        String clear,
        String unread,
        List<Gate> gates,
        Optional<CriterionId> sameAs) {

    public Criterion {
        gates = List.copyOf(gates);
    }
}
