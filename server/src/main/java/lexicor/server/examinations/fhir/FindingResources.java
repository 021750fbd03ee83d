package lexicor.server.examinations.fhir;

import static lexicor.server.examinations.fhir.FhirNames.concept;
import static lexicor.server.examinations.fhir.FhirNames.hl7;

import java.util.ArrayList;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Command;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.intake.ContentWords;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.paper.FindingsNote;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.weighing.WeighingJson;
import lexicor.server.words.Words;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.Coding;
import org.hl7.fhir.r4.model.DateTimeType;
import org.hl7.fhir.r4.model.Extension;
import org.hl7.fhir.r4.model.IntegerType;
import org.hl7.fhir.r4.model.Observation;
import org.hl7.fhir.r4.model.PositiveIntType;
import org.hl7.fhir.r4.model.StringType;
import org.hl7.fhir.r4.model.Type;
import org.springframework.stereotype.Component;

/**
 * What was found as observations: one for each go at a test on a side, for each reading of it, and for what is derived.
 */
@Component
class FindingResources {

    /** A question of the intake that has a code of its own elsewhere: pain now on a scale of 0 to 10. */
    private static final String PAIN_NOW = "pain-now";

    private static final String PAIN_CODE = "72514-3";
    private static final String PAIN_NAME = "Pain severity - 0-10 verbal numeric rating [Score] - Reported";

    static final CodeableConcept FORCE_OF_OTHER_SIDE =
            concept(FhirNames.Codes.DERIVED, "force-of-other-side", "Force in percent of the other side");

    private final Assessments assessments;
    private final FindingsNote note;
    private final Catalogue catalogue;
    private final ContentWords words;

    FindingResources(Assessments assessments, FindingsNote note, Catalogue catalogue, ContentWords words) {
        this.assessments = assessments;
        this.note = note;
        this.catalogue = catalogue;
        this.words = words;
    }

    /**
     * @param findings of each go at a test
     * @param readings of each condition that a test is read for; none where the content has changed since it was signed
     * @param others what is derived, and what was said on a scale
     */
    record Found(List<Observation> findings, List<Observation> readings, List<Observation> others) {

        List<Observation> all() {
            List<Observation> all = new ArrayList<>(findings);
            all.addAll(readings);
            all.addAll(others);
            return all;
        }
    }

    Found of(VisitNames names) {
        Recorded recorded = names.visit().recorded();
        Map<UUID, Command> entered = new LinkedHashMap<>();
        for (Command command : recorded.history().commands()) {
            if (command.action() instanceof Command.Recorded given) {
                given.attempts().forEach(attempt -> entered.put(attempt.id(), command));
            }
        }
        Map<TestId, List<Observation>> byTest = new LinkedHashMap<>();
        for (Attempt attempt : recorded.history().attempts()) {
            byTest.computeIfAbsent(attempt.test(), test -> new ArrayList<>())
                    .add(finding(attempt, entered.get(attempt.id()), names));
        }
        List<Observation> others = derived(byTest, names);
        recorded.told()
                .answer(PAIN_NOW)
                .filter(heard -> heard.answer().number().isPresent())
                .ifPresent(heard -> others.add(pain(heard.answer().number().getAsDouble(), names)));
        return new Found(
                byTest.values().stream().flatMap(List::stream).toList(), readings(recorded, byTest, names), others);
    }

    private Observation finding(Attempt attempt, Command entry, VisitNames names) {
        ExaminationTest test = catalogue.test(attempt.test());
        CodeableConcept site = FhirNames.site(names.row().region(), attempt.side());
        Observation finding = new Observation();
        for (Part part : attempt.parts()) {
            finding.addComponent(circumstances(
                    new Observation.ObservationComponentComponent(FhirNames.part(test.id(), part.key(), words))
                            .setValue(value(test.id(), part)),
                    part.context()));
        }
        if (attempt.leftOut()) {
            finding.setDataAbsentReason(hl7("data-absent-reason", "not-performed", "Not Performed"));
        }
        test.wayInWords(attempt.variant())
                .ifPresent(way -> finding.setMethod(FhirNames.way(test.id(), attempt.variant(), way)));
        common(finding, names)
                .setCode(FhirNames.test(test))
                .setBodySite(site)
                .setEffective(new DateTimeType(Date.from(entry.at())))
                .addPerformer(VisitNames.practitionerOf(entry.author()));
        return names.named(
                finding,
                "finding",
                attempt.id(),
                test.name() + ", " + site.getText() + ": " + note.response(test, attempt));
    }

    private static Observation common(Observation observation, VisitNames names) {
        return observation
                .setStatus(Observation.ObservationStatus.FINAL)
                .addCategory(hl7("observation-category", "exam", "Exam"))
                .setSubject(names.patient())
                .setEncounter(names.encounter());
    }

    private Type value(TestId test, Part part) {
        if (part instanceof Part.Measured measured) {
            return FhirNames.quantity(measured.value(), measured.unit());
        }
        return part instanceof Part.Chosen chosen
                ? FhirNames.answer(test, part.key(), chosen.choice(), words)
                : new StringType(((Part.Said) part).text());
    }

    private static Observation.ObservationComponentComponent circumstances(
            Observation.ObservationComponentComponent component, Part.Context context) {
        if (!context.position().isEmpty()) {
            component.addExtension(new Extension(FhirNames.POSITION, new StringType(context.position())));
        }
        if (context.repeat() > 1) {
            component.addExtension(new Extension(FhirNames.REPEAT, new PositiveIntType(context.repeat())));
        }
        if (!context.direction().isEmpty()) {
            component.addExtension(new Extension(FhirNames.DIRECTION, new StringType(context.direction())));
        }
        return component;
    }

    private List<Observation> readings(Recorded recorded, Map<TestId, List<Observation>> byTest, VisitNames names) {
        if (!names.visit().signature().revisions().catalogue().equals(catalogue.revision())) {
            return List.of();
        }
        List<Observation> readings = new ArrayList<>();
        for (TestReading test : assessments.of(recorded).readings()) {
            for (Reading reading : test.answered() ? test.readings() : List.<Reading>of()) {
                if (reading.result() != Reading.Result.NOT_YET_KNOWN) {
                    readings.add(reading(reading, byTest.getOrDefault(test.test(), List.of()), names));
                }
            }
        }
        return readings;
    }

    private Observation reading(Reading reading, List<Observation> findings, VisitNames names) {
        ExaminationTest test = catalogue.test(reading.test());
        String condition = catalogue.condition(reading.condition()).name();
        Observation observation = common(new Observation(), names)
                .setCode(FhirNames.criterion(test, reading.criterion()))
                .setBodySite(names.site())
                .setEffective(new DateTimeType(names.signed()))
                .addPerformer(names.signer());
        if (reading.definite()) {
            boolean positive = reading.result() == Reading.Result.POSITIVE;
            CodeableConcept result =
                    hl7("v3-ObservationInterpretation", positive ? "POS" : "NEG", positive ? "Positive" : "Negative");
            observation.setValue(result).addInterpretation(result);
        } else {
            observation.setDataAbsentReason(
                    hl7("data-absent-reason", "unknown", "Unknown").setText("Not interpretable: " + reading.phrase()));
        }
        observation.addComponent(
                new Observation.ObservationComponentComponent(new CodeableConcept().setText("Read for"))
                        .setValue(FhirNames.condition(reading.condition(), condition)));
        findings.forEach(finding -> observation.addDerivedFrom(VisitNames.to(finding)));
        return names.named(
                observation,
                "reading",
                reading.test() + " " + reading.condition() + " " + reading.criterion(),
                test.name() + ", read for " + Words.inSentence(condition) + ": " + Words.of(reading.result()) + " ("
                        + reading.phrase() + ")");
    }

    private List<Observation> derived(Map<TestId, List<Observation>> byTest, VisitNames names) {
        List<Observation> derived = new ArrayList<>();
        for (WeighingJson.TestState state : names.outputs().weighing().tests()) {
            if (state.force() != null && state.force().percent() != null) {
                TestId test = TestId.of(state.testId());
                String name = catalogue.test(test).name();
                Observation percent = common(new Observation(), names)
                        .setCode(FORCE_OF_OTHER_SIDE)
                        .setEffective(new DateTimeType(names.signed()))
                        .addPerformer(names.signer())
                        .setValue(FhirNames.quantity(Math.round(state.force().percent()), "%"));
                byTest.getOrDefault(test, List.of()).forEach(each -> percent.addDerivedFrom(VisitNames.to(each)));
                derived.add(names.named(
                        percent,
                        "force",
                        state.testId(),
                        name + ": " + Math.round(state.force().percent()) + " % of the other side"));
            }
        }
        return derived;
    }

    private Observation pain(double now, VisitNames names) {
        Observation pain = common(new Observation(), names)
                .setCode(FhirNames.question(PAIN_NOW, words)
                        .addCoding(new Coding(FhirNames.LOINC, PAIN_CODE, PAIN_NAME)))
                .setEffective(new DateTimeType(Date.from(names.row().startedAt())))
                .addPerformer(VisitNames.practitionerOf(names.row().author()))
                .setValue(new IntegerType((int) Math.round(now)));
        pain.setCategory(List.of(hl7("observation-category", "survey", "Survey")));
        return names.named(pain, "pain", words.question(PAIN_NOW) + ": " + Math.round(now) + " of 10");
    }
}
