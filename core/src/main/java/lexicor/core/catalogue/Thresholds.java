package lexicor.core.catalogue;

/**
 * Where a chance begins to mean something for what to do next. Working defaults, each within (0, 1), rising.
 *
 * @param setAside below it a condition is set aside
 * @param test     from it on further testing is worth while
 * @param act      above it the condition is the working diagnosis
 * @param serious  above it a serious condition is imaged or referred, per local pathway
 */
public record Thresholds(double setAside, double test, double act, double serious) {
}
