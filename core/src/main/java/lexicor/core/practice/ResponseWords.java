package lexicor.core.practice;

import java.util.List;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.examination.Part;

/** Says in words what a patient answers to a test. */
public final class ResponseWords {

    private final PracticeGround ground;

    public ResponseWords(PracticeGround ground) {
        this.ground = ground;
    }

    /**
     * A part of an answer in words.
     *
     * @param said whether the patient says it; otherwise it is seen, felt or measured
     */
    public record Line(String label, String words, boolean said) {}

    /** The parts of an answer, in their order. */
    public List<Line> lines(ExaminationTest test, List<Part> parts) {
        return parts.stream().map(part -> line(test, part)).toList();
    }

    /** Parts of one place as the record has them, joined by commas; empty where there are none. */
    public String asWritten(ExaminationTest test, List<Part> parts) {
        return parts.stream().map(part -> inRecord(test, part)).collect(Collectors.joining(", "));
    }

    private static String inRecord(ExaminationTest test, Part part) {
        if (part instanceof Part.Measured measured) {
            return number(measured.value()) + " " + measured.unit();
        }
        return part instanceof Part.Chosen chosen
                ? option(test, chosen.key(), chosen.choice())
                : ((Part.Said) part).text();
    }

    private Line line(ExaminationTest test, Part part) {
        var definition = test.part(part.key());
        String position = part.context().position().isEmpty()
                ? ""
                : ", " + part.context().position().replace('-', ' ');
        String label = definition.map(each -> each.label()).orElse(part.key()) + position;
        if (part instanceof Part.Measured) {
            return new Line(label, inRecord(test, part), false);
        }
        String choice = part instanceof Part.Chosen chosen ? chosen.choice() : "";
        return ground.content()
                .answer(part.key(), choice)
                .map(words -> new Line(label, words, true))
                .orElseGet(() -> new Line(label, option(test, part.key(), choice), false));
    }

    private static String option(ExaminationTest test, String key, String choice) {
        return test.part(key).stream()
                .flatMap(part -> (part instanceof PartDefinition.Choice list
                                ? list.options()
                                : ((PartDefinition.Measure) part).byEye())
                        .stream())
                .filter(option -> option.value().equals(choice))
                .map(PartDefinition.Option::label)
                .findFirst()
                .orElse(choice);
    }

    private static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
