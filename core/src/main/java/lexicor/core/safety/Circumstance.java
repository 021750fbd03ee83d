package lexicor.core.safety;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Rule;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Truth;
import lexicor.core.story.Weeks;

/**
 * The vocabulary in which the content says under what circumstances something is suspected. What is not known does not
 * hold.
 */
public sealed interface Circumstance {

    boolean holds(Known known);

    /** This one and all within. */
    default Stream<Circumstance> parts() {
        return Stream.of(this);
    }

    /** All of these. */
    record All(List<Circumstance> each) implements Circumstance {
        public All {
            each = List.copyOf(each);
        }

        @Override
        public boolean holds(Known known) {
            return each.stream().allMatch(one -> one.holds(known));
        }

        @Override
        public Stream<Circumstance> parts() {
            return Stream.concat(Stream.of(this), each.stream().flatMap(Circumstance::parts));
        }
    }

    /** At least one of these. */
    record Any(List<Circumstance> each) implements Circumstance {
        public Any {
            each = List.copyOf(each);
        }

        @Override
        public boolean holds(Known known) {
            return each.stream().anyMatch(one -> one.holds(known));
        }

        @Override
        public Stream<Circumstance> parts() {
            return Stream.concat(Stream.of(this), each.stream().flatMap(Circumstance::parts));
        }
    }

    /** It does not hold, or is not known to. */
    record Not(Circumstance circumstance) implements Circumstance {
        @Override
        public boolean holds(Known known) {
            return !circumstance.holds(known);
        }

        @Override
        public Stream<Circumstance> parts() {
            return Stream.concat(Stream.of(this), circumstance.parts());
        }
    }

    /** One of these clues was told. */
    record IntakeAnswers(List<String> clues) implements Circumstance {
        public IntakeAnswers {
            clues = List.copyOf(clues);
        }

        @Override
        public boolean holds(Known known) {
            return clues.stream().anyMatch(known.story()::holds);
        }
    }

    /** Every possible age lies within. */
    record Aged(Pattern.Ages ages) implements Circumstance {
        @Override
        public boolean holds(Known known) {
            return known.story().aged(ages);
        }
    }

    /**
     * It began within so many weeks.
     *
     * @param orUnknown whether a beginning that nobody told counts as well
     */
    record Since(Weeks weeks, boolean orUnknown) implements Circumstance {
        @Override
        public boolean holds(Known known) {
            return known.story().weeks().map(weeks::contains).orElse(orUnknown);
        }
    }

    /** The examination is of one of these regions. */
    record In(Set<String> regions) implements Circumstance {
        public In {
            regions = Set.copyOf(regions);
        }

        @Override
        public boolean holds(Known known) {
            return regions.contains(known.region());
        }
    }

    /** A test was read by a criterion with this result. */
    record Found(TestId test, CriterionId criterion, boolean positive) implements Circumstance {
        @Override
        public boolean holds(Known known) {
            return known.found(test, criterion, positive);
        }
    }

    /** What was recorded of a test on the side in question fulfils a rule. */
    record Answered(TestId test, Rule rule) implements Circumstance {
        @Override
        public boolean holds(Known known) {
            return known.answers(test)
                    .filter(answers -> rule.truth(answers) == Truth.YES)
                    .isPresent();
        }
    }

    /** A finding has raised the chance of a condition, and it has reached this; never a start alone. */
    record Chance(ConditionId condition, double from) implements Circumstance {
        @Override
        public boolean holds(Known known) {
            return known.raised(condition) && known.chance(condition) >= from;
        }
    }
}
