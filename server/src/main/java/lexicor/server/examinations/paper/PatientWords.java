package lexicor.server.examinations.paper;

import java.util.List;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.conclusion.Conclusion;
import lexicor.server.words.Typed;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/** Says a therapist's conclusion in words that a patient knows. Numbers are left to the talk. */
@Component
class PatientWords {

    static final String CAUTION =
            "This is what was found with the hands, and what it most probably means. Such tests can be wrong, and the opinion"
                    + " may change with time or with further tests. Ask if anything is unclear, and get in touch at once if it"
                    + " suddenly gets worse.";

    private static final String NOT_SAID = "Nothing has been concluded yet.";

    private final Catalogue catalogue;

    PatientWords(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** What it is thought to be, or that nobody has said so yet. */
    String thought(Conclusion conclusion) {
        String own = Typed.oneLine(conclusion.inWords());
        String first = conclusion
                .working()
                .map(working -> sure(conclusion, catalogue.condition(working).everyday())
                        + (own.isEmpty() ? "" : " (" + own + ")") + ".")
                .orElse(
                        !own.isEmpty()
                                ? sure(conclusion, own) + "."
                                : conclusion.open() ? "It is still open what it is." : NOT_SAID);
        if (conclusion.rivals().isEmpty()) {
            return first;
        }
        List<String> others = conclusion.rivals().stream()
                .map(rival -> catalogue.condition(rival).everyday())
                .toList();
        String also = "It could also be " + String.join(", or ", others) + ".";
        return first.equals(NOT_SAID) ? also : first + " " + also;
    }

    private static String sure(Conclusion conclusion, String what) {
        return switch (conclusion.sureness()) {
            case "a guess", "possible" -> "It could be " + what;
            case "likely" -> "It is likely " + what;
            case "very likely" -> "It is very likely " + what;
            case "almost certain" -> "It is almost certainly " + what;
            default -> "It is thought to be " + what;
        };
    }

    /** The day of the next visit; empty where none is set. */
    static String seenAgain(Conclusion conclusion) {
        return conclusion.again().map(Words::day).orElse("");
    }

    /** Steps, line by line. */
    static String next(List<String> steps) {
        return steps.stream().map(step -> "- " + step).collect(Collectors.joining("\n"));
    }
}
