package lexicor.server.examinations.fhir;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Map;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Side;
import lexicor.core.intake.ContentWords;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.Coding;
import org.hl7.fhir.r4.model.Quantity;

/**
 * Stable addresses of the own code systems and extensions, and how codes are made. The host is of a kind that is never
 * given to anybody, so that the addresses stay what they are wherever a server stands.
 */
public final class FhirNames {

    static final String BASE = "https://lexicor.invalid/fhir";

    /** By what a document is known, with the id of its signature. */
    public static final String DOCUMENT = BASE + "/document";

    static final String CASE = BASE + "/case-code";
    static final String EXAMINATION = BASE + "/examination";

    static final String POSITION = BASE + "/StructureDefinition/position";
    static final String REPEAT = BASE + "/StructureDefinition/repeat";
    static final String DIRECTION = BASE + "/StructureDefinition/direction";
    static final String PLAUSIBLE = BASE + "/StructureDefinition/plausible-range";

    static final String UCUM = "http://unitsofmeasure.org";
    static final String LOINC = "http://loinc.org";
    static final String HL7 = "http://terminology.hl7.org/CodeSystem/";

    /** Units of the content by their code in UCUM. */
    private static final Map<String, String> UNITS =
            Map.of("°", "deg", "N", "N", "kg", "kg", "mm", "mm", "cm", "cm", "s", "s", "%", "%");

    /** The own code systems. */
    enum Codes {
        TEST("Hands-on tests"),
        WAY("Ways of doing a test, by test and way"),
        PART("What is recorded of a test, by test and part"),
        ANSWER("Answers, by test, part and answer"),
        CRITERION("How a response is read, by test and criterion"),
        CONDITION("Conditions"),
        SITE("Joints and sides"),
        QUESTION("Questions of the intake"),
        TOLD("Answers to questions of the intake, by question and answer"),
        DERIVED("What is worked out from measures"),
        METHOD("How chances are worked out");

        final String title;

        Codes(String title) {
            this.title = title;
        }

        String id() {
            return name().toLowerCase(Locale.ROOT);
        }

        String url() {
            return BASE + "/CodeSystem/" + id();
        }
    }

    private FhirNames() {}

    static CodeableConcept concept(Codes codes, String code, String display) {
        return new CodeableConcept(new Coding(codes.url(), code, display)).setText(display);
    }

    static CodeableConcept hl7(String system, String code, String display) {
        return new CodeableConcept(new Coding(HL7 + system, code, display));
    }

    /** The type of a document that says what an examination came to. */
    static CodeableConcept consultNote() {
        return new CodeableConcept(new Coding(LOINC, "11488-4", "Consult note"));
    }

    static CodeableConcept test(ExaminationTest test) {
        return concept(Codes.TEST, test.id().value(), test.name());
    }

    /** A way of doing a test other than the usual one. */
    static CodeableConcept way(TestId test, String way, String called) {
        return concept(Codes.WAY, test + "." + way, called);
    }

    static CodeableConcept question(String id, ContentWords words) {
        return concept(Codes.QUESTION, id, words.question(id));
    }

    static CodeableConcept condition(ConditionId id, String name) {
        return concept(Codes.CONDITION, id.value(), name);
    }

    static CodeableConcept part(TestId test, String key, ContentWords words) {
        return concept(Codes.PART, test + "." + key, words.part(test, key));
    }

    static CodeableConcept answer(TestId test, String key, String choice, ContentWords words) {
        return concept(Codes.ANSWER, test + "." + key + "." + choice, words.option(test, key, choice));
    }

    /** An answer to a question of the intake. */
    static CodeableConcept told(String question, String value, ContentWords words) {
        return concept(Codes.TOLD, question + "." + value, words.answer(question, value));
    }

    /** A criterion by the finding that counts, without the places at which a reading names what was recorded. */
    static CodeableConcept criterion(ExaminationTest test, CriterionId id) {
        String counts = test.criterion(id)
                .map(criterion -> criterion.counts().replaceAll("\\s*\\{[^}]*\\}", ""))
                .orElse(id.value());
        return concept(Codes.CRITERION, test.id() + "." + id, test.name() + ": " + counts);
    }

    static CodeableConcept site(String region, Side side) {
        String which = side.name().toLowerCase(Locale.ROOT);
        return concept(Codes.SITE, region + "-" + which, which + " " + region);
    }

    /** A measure in a unit of the content; its code is left out where UCUM has none. */
    static Quantity quantity(double value, String unit) {
        Quantity quantity = new Quantity().setValue(plain(value)).setUnit(unit);
        String code = UNITS.get(unit);
        return code == null ? quantity : quantity.setSystem(UCUM).setCode(code);
    }

    /** A chance of 0..1 in percent, to two places. */
    static Quantity percent(double chance) {
        return quantity(hundredths(chance).doubleValue(), "%");
    }

    /** A chance of 0..1 in percent, to two places. */
    static BigDecimal hundredths(double chance) {
        return BigDecimal.valueOf(100 * chance).setScale(2, RoundingMode.HALF_EVEN);
    }

    private static BigDecimal plain(double value) {
        return new BigDecimal(BigDecimal.valueOf(value).stripTrailingZeros().toPlainString());
    }
}
