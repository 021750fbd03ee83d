package lexicor.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.lookup.Keyed;

/**
 * A whole answer that is given with one tap: "nothing", or one that comes up often.
 *
 * @param label in the words of its parts, without those that say "nothing" but for "no pain"; empty for "nothing"
 *     itself
 * @param parts in the order of the test, in every position that a part is taken in
 */
public record WholeAnswer(String label, List<Part> parts) {

    public WholeAnswer {
        parts = List.copyOf(parts);
    }

    /** What "nothing" stands for; without parts where the test has no such answer. */
    public static WholeAnswer nothing(ExaminationTest test) {
        return new WholeAnswer("", parts(test, test.nothing()));
    }

    /** The answers that come up most, the commonest first. */
    public static List<WholeAnswer> usual(ExaminationTest test) {
        return test.usual().stream()
                .map(answers -> new WholeAnswer(label(test, answers), parts(test, answers)))
                .toList();
    }

    private static List<Part> parts(ExaminationTest test, Map<String, String> answers) {
        List<Part> parts = new ArrayList<>();
        for (PartDefinition part : test.parts()) {
            String value = answers.get(part.key());
            if (value != null) {
                contexts(part)
                        .forEach(context -> parts.add(
                                part instanceof PartDefinition.Measure measure
                                                && measure.byEye().stream()
                                                        .noneMatch(option ->
                                                                option.value().equals(value))
                                        ? new Part.Measured(
                                                part.key(), Double.parseDouble(value), measure.unit(), context)
                                        : new Part.Chosen(part.key(), value, context)));
            }
        }
        return parts;
    }

    private static Stream<Part.Context> contexts(PartDefinition part) {
        List<String> positions = part.taken().positions();
        return positions.isEmpty()
                ? Stream.of(Part.Context.PLAIN)
                : positions.stream().map(position -> new Part.Context(position, 1, ""));
    }

    private static String label(ExaminationTest test, Map<String, String> answers) {
        return test.parts().stream()
                .filter(PartDefinition.Choice.class::isInstance)
                .map(PartDefinition.Choice.class::cast)
                .filter(part -> answers.containsKey(part.key())
                        && (part.key().equals("pain")
                                || !answers.get(part.key())
                                        .equals(test.nothing().get(part.key()))))
                .map(part ->
                        part.option(Keyed.at(answers, part.key())).orElseThrow().label())
                .collect(Collectors.joining(", "));
    }
}
