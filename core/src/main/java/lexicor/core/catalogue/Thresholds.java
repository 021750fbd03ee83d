package lexicor.core.catalogue;

/**
 * Where a chance begins to mean something for what to do next. Working defaults, each within (0, 1), rising.
 *
 * @param setAside below it a condition is set aside
 * @param test from it on further testing is worth while
 * @param act above it the condition is the working diagnosis
 * @param serious from it on a serious condition is imaged or referred, per local pathway
 */
public record Thresholds(double setAside, double test, double act, double serious) {

    /** What a chance means for what to do. */
    public enum Zone {
        SET_ASIDE,
        /** Keep in mind, test further if it is cheap. */
        KEEP,
        TEST,
        /** Working diagnosis. */
        ACT,
        /** A serious condition: arrange imaging or referral. */
        REFER
    }

    /** What a chance of a condition means. Never null. */
    public Zone zone(Condition condition, double chance) {
        return condition.serious().isPresent() && chance >= serious ? Zone.REFER : zone(chance);
    }

    /** The same of a chance by itself. */
    public Zone zone(double chance) {
        if (chance < setAside) {
            return Zone.SET_ASIDE;
        }
        if (chance < test) {
            return Zone.KEEP;
        }
        return chance <= act ? Zone.TEST : Zone.ACT;
    }
}
