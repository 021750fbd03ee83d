package lexicor.core.catalogue;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The vocabulary in which the catalogue says when a finding holds. Every rule is three-valued. */
public sealed interface Rule {

    Truth truth(Answers answers);

    /** The rules about single parts that this one is made of, with repeats. */
    Stream<Rule> leaves();

    /** The parts that it reads. */
    default Set<String> parts() {
        return leaves().filter(AboutPart.class::isInstance)
                .map(leaf -> ((AboutPart) leaf).part())
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Whether it needs the other side as a normal to compare with. */
    default boolean comparesSides() {
        return leaves().anyMatch(leaf -> leaf instanceof SideDifference
                || leaf instanceof In in && in.side() == Answers.Asked.OTHER
                || leaf instanceof Window window && window.side() == Answers.Asked.OTHER);
    }

    /** A single rule, about one part. */
    sealed interface AboutPart extends Rule {

        String part();

        @Override
        default Stream<Rule> leaves() {
            return Stream.of(this);
        }
    }

    /** All of these hold. */
    record All(List<Rule> rules) implements Rule {
        public All {
            rules = List.copyOf(rules);
        }

        @Override
        public Truth truth(Answers answers) {
            return rules.stream().map(rule -> rule.truth(answers)).reduce(Truth.YES, Truth::and);
        }

        @Override
        public Stream<Rule> leaves() {
            return rules.stream().flatMap(Rule::leaves);
        }
    }

    /** At least one of these holds. */
    record Any(List<Rule> rules) implements Rule {
        public Any {
            rules = List.copyOf(rules);
        }

        @Override
        public Truth truth(Answers answers) {
            return rules.stream().map(rule -> rule.truth(answers)).reduce(Truth.NO, Truth::or);
        }

        @Override
        public Stream<Rule> leaves() {
            return rules.stream().flatMap(Rule::leaves);
        }
    }

    /** The rule within does not hold. */
    record Not(Rule rule) implements Rule {
        @Override
        public Truth truth(Answers answers) {
            return rule.truth(answers).not();
        }

        @Override
        public Stream<Rule> leaves() {
            return rule.leaves();
        }
    }

    /** The rule within holds for what was recorded in one position, such as in pronation. */
    record AtContext(String position, Rule rule) implements Rule {
        @Override
        public Truth truth(Answers answers) {
            return rule.truth(answers.at(position));
        }

        @Override
        public Stream<Rule> leaves() {
            return rule.leaves();
        }
    }

    /** A part was answered with one of these choices. */
    record In(Answers.Asked side, String part, Set<String> values) implements AboutPart {
        public In {
            values = Set.copyOf(values);
        }

        @Override
        public Truth truth(Answers answers) {
            Set<String> chosen = answers.choices(side, part);
            return chosen.isEmpty() ? Truth.UNKNOWN : Truth.of(chosen.stream().anyMatch(values::contains));
        }
    }

    /** Something was recorded for a part: never unknown. */
    record Recorded(Answers.Asked side, String part) implements AboutPart {
        @Override
        public Truth truth(Answers answers) {
            return Truth.of(!answers.choices(side, part).isEmpty()
                    || answers.measure(side, part).isPresent());
        }
    }

    /** A measure lies within [from, to], in the unit of the part. */
    record Window(Answers.Asked side, String part, double from, double to) implements AboutPart {
        @Override
        public Truth truth(Answers answers) {
            OptionalDouble measure = answers.measure(side, part);
            return measure.isEmpty()
                    ? Truth.UNKNOWN
                    : Truth.of(measure.getAsDouble() >= from && measure.getAsDouble() <= to);
        }
    }

    /** How two sides are compared. */
    enum Compared {
        /** This side less the other, in the unit of the part. */
        DIFFERENCE,
        /** This side in hundredths of the other; unknown where the other is 0. */
        SHARE
    }

    /** A measure differs between the sides by [from, to], as {@code compared} says. */
    record SideDifference(String part, Compared compared, double from, double to) implements AboutPart {
        @Override
        public Truth truth(Answers answers) {
            OptionalDouble here = answers.measure(Answers.Asked.THIS, part);
            OptionalDouble there = answers.measure(Answers.Asked.OTHER, part);
            if (here.isEmpty() || there.isEmpty() || compared == Compared.SHARE && there.getAsDouble() == 0) {
                return Truth.UNKNOWN;
            }
            double value = compared == Compared.SHARE
                    ? 100 * here.getAsDouble() / there.getAsDouble()
                    : here.getAsDouble() - there.getAsDouble();
            return Truth.of(value >= from && value <= to);
        }
    }

    /**
     * A measure in hundredths of another measure of the same side lies within [from, to]; unknown where the other is 0.
     */
    record Share(String part, String of, double from, double to) implements AboutPart {
        @Override
        public Truth truth(Answers answers) {
            OptionalDouble measure = answers.measure(Answers.Asked.THIS, part);
            OptionalDouble whole = answers.measure(Answers.Asked.THIS, of);
            if (measure.isEmpty() || whole.isEmpty() || whole.getAsDouble() == 0) {
                return Truth.UNKNOWN;
            }
            double value = 100 * measure.getAsDouble() / whole.getAsDouble();
            return Truth.of(value >= from && value <= to);
        }
    }

    /** How a measure went from the first to the second go within one attempt. */
    enum Change {
        LESS,
        SAME,
        MORE
    }

    /** The second go, less the first, is a change of this kind; smaller than {@code by} is the same. */
    record Repeated(String part, Change change, double by) implements AboutPart {
        @Override
        public Truth truth(Answers answers) {
            OptionalDouble first = answers.repeat(part, 1);
            OptionalDouble second = answers.repeat(part, 2);
            if (first.isEmpty() || second.isEmpty()) {
                return Truth.UNKNOWN;
            }
            double difference = second.getAsDouble() - first.getAsDouble();
            return Truth.of(change == (difference <= -by ? Change.LESS : difference >= by ? Change.MORE : Change.SAME));
        }
    }

    /** The school in force answers a question in this way. */
    record School(String question, String choice) implements Rule {
        @Override
        public Truth truth(Answers answers) {
            return Truth.of(answers.schools().choice(question).equals(choice));
        }

        @Override
        public Stream<Rule> leaves() {
            return Stream.of(this);
        }
    }
}
