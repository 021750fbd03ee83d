package lexicor.core.differential;

import java.util.List;
import java.util.Optional;

/**
 * One observation of one test: whether the sign was there, and the conditions it speaks about.
 *
 * @param group of findings that share a factor; empty where it stands by itself in its family
 */
public record Finding(String id, Said said, Optional<String> group, List<Target> targets) {

    /** What was found. */
    public enum Said {
        POSITIVE,
        NEGATIVE,
        /** Not done yet. */
        OPEN
    }

    /** Refuses a finding without figures. */
    public Finding {
        targets = List.copyOf(targets);
        if (targets.stream().noneMatch(Target.Figures.class::isInstance)) {
            throw new IllegalArgumentException("finding " + id + " has no figures");
        }
    }

    /** The same with another answer. */
    public Finding said(Said answer) {
        return new Finding(id, answer, group, targets);
    }

    /** Whether it was answered. */
    public boolean answered() {
        return said != Said.OPEN;
    }

    /** What is known by a ratio only. */
    public record Ratio(String id, String condition, double value) {}

    /**
     * Findings that repeat each other.
     *
     * @param rho latent correlation, 0..0.95
     * @param family a condition of the family whose wider factor they share
     */
    public record Group(String id, double rho, Optional<String> family) {}
}
