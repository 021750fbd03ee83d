package lexicor.core.catalogue;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/** The vocabulary in which the catalogue says when a finding holds. Every rule is three-valued. */
public sealed interface Rule {

    Truth truth(Answers answers);

    /** The rules about single parts that this one is made of, with repeats. */
    Stream<Rule> leaves();

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

    /** A part was answered with one of these choices. */
    record In(Answers.Asked side, String part, Set<String> values) implements Rule {
        public In {
            values = Set.copyOf(values);
        }

        @Override
        public Truth truth(Answers answers) {
            Set<String> chosen = answers.choices(side, part);
            return chosen.isEmpty() ? Truth.UNKNOWN : Truth.of(chosen.stream().anyMatch(values::contains));
        }

        @Override
        public Stream<Rule> leaves() {
            return Stream.of(this);
        }
    }

    /** A measure lies within [from, to], in the unit of the part. */
    record Window(Answers.Asked side, String part, double from, double to) implements Rule {
        @Override
        public Truth truth(Answers answers) {
            OptionalDouble measure = answers.measure(side, part);
            return measure.isEmpty() ? Truth.UNKNOWN : Truth.of(measure.getAsDouble() >= from && measure.getAsDouble() <= to);
        }

        @Override
        public Stream<Rule> leaves() {
            return Stream.of(this);
        }
    }
}
