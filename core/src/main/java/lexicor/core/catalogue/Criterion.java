package lexicor.core.catalogue;

import java.util.List;

/**
 * One way in which a test's response is judged. Neither rule holding though all is known means that the answer cannot
 * be read by this criterion.
 *
 * @param counts phrase for a positive, such as "familiar pain in the arc"
 * @param clear phrase for a negative
 * @param unread phrase for an answer that is neither; phrases may name a part as {@code {part}}
 * @param gates reasons that hold for this criterion alone
 */
public record Criterion(
        CriterionId id, Rule positive, Rule negative, String counts, String clear, String unread, List<Gate> gates) {

    public Criterion {
        gates = List.copyOf(gates);
    }
}
