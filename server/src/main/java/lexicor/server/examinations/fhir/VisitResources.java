package lexicor.server.examinations.fhir;

import static lexicor.server.examinations.fhir.FhirNames.hl7;

import java.util.ArrayList;
import java.util.Date;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.examination.Answer;
import lexicor.core.intake.ContentWords;
import lexicor.core.intake.Person;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.SignatureRow;
import lexicor.server.examinations.signing.SignedVisit;
import lexicor.server.examinations.signing.Snapshot;
import lexicor.server.words.Words;
import org.hl7.fhir.r4.model.Coding;
import org.hl7.fhir.r4.model.DateType;
import org.hl7.fhir.r4.model.DecimalType;
import org.hl7.fhir.r4.model.Encounter;
import org.hl7.fhir.r4.model.Enumerations;
import org.hl7.fhir.r4.model.HumanName;
import org.hl7.fhir.r4.model.Patient;
import org.hl7.fhir.r4.model.Period;
import org.hl7.fhir.r4.model.Practitioner;
import org.hl7.fhir.r4.model.QuestionnaireResponse;
import org.hl7.fhir.r4.model.Resource;
import org.hl7.fhir.r4.model.StringType;
import org.springframework.stereotype.Component;

/** Everything that a signed examination gives, as resources. */
@Component
class VisitResources {

    /** Questions of the clinic's ways, which are asked in the intake and tell nothing of the patient. */
    private static final String SCHOOL = "school";

    private final FindingResources findings;
    private final ConclusionResources conclusions;
    private final People people;
    private final ContentWords words;

    VisitResources(FindingResources findings, ConclusionResources conclusions, People people, ContentWords words) {
        this.findings = findings;
        this.conclusions = conclusions;
        this.people = people;
        this.words = words;
    }

    /** @param practitioners everybody who examined or signed, who signed first */
    record Whole(
            Patient patient,
            List<Practitioner> practitioners,
            Encounter encounter,
            QuestionnaireResponse story,
            FindingResources.Found found,
            ConclusionResources.Concluded concluded) {

        /** What it holds, for somebody who is about to let it leave. */
        List<String> inWords() {
            String sex = patient.hasGender()
                    ? ", " + patient.getGender().getDisplay().toLowerCase(Locale.UK)
                    : "";
            String born = patient.hasBirthDate()
                    ? ", born " + patient.getBirthDateElement().getValueAsString()
                    : "";
            return List.of(
                    VisitNames.words(patient) + born + sex,
                    VisitNames.words(encounter) + ", by "
                            + practitioners.stream()
                                    .map(each -> each.getNameFirstRep().getText())
                                    .collect(Collectors.joining(", ")),
                    "What was told: " + story.getItem().size() + " answers",
                    "What was found: " + found.findings().size() + ", with how it is read",
                    "Where " + concluded.ranking().getPrediction().size() + " conditions stood",
                    "The conclusion, and what is to be done next: "
                            + concluded.proposals().size(),
                    "The report as a PDF");
        }

        List<Resource> all() {
            List<Resource> all = new ArrayList<>(List.of(patient));
            all.addAll(practitioners);
            all.add(encounter);
            all.add(story);
            all.addAll(found.all());
            all.add(concluded.ranking());
            all.addAll(concluded.diagnoses());
            all.add(concluded.impression());
            all.addAll(concluded.proposals());
            return all;
        }
    }

    /** @param withName whether the patient's name leaves too, where it is stored */
    Whole of(SignedVisit visit, boolean withName) {
        VisitNames names = new VisitNames(visit);
        FindingResources.Found found = findings.of(names);
        return new Whole(
                patient(names, withName),
                practitioners(names),
                encounter(names),
                story(names),
                found,
                conclusions.of(names, found));
    }

    private static Patient patient(VisitNames names, boolean withName) {
        Snapshot.Inputs signed = names.visit().snapshot().inputs();
        ExaminationRow row = names.row();
        Patient patient = new Patient();
        patient.addIdentifier().setSystem(FhirNames.CASE).setValue(signed.caseCode());
        if (withName && signed.name() != null) {
            patient.addName(new HumanName().setText(signed.name()));
        }
        if (signed.birthYear() != null) {
            patient.setBirthDateElement(new DateType(String.valueOf(signed.birthYear())));
        }
        row.caseFile()
                .sex()
                .ifPresent(sex -> patient.setGender(
                        sex == Person.Sex.WOMAN
                                ? Enumerations.AdministrativeGender.FEMALE
                                : Enumerations.AdministrativeGender.MALE));
        return names.whole(patient, row.caseFile().id().toString(), "Case " + signed.caseCode());
    }

    private List<Practitioner> practitioners(VisitNames names) {
        SignatureRow signature = names.visit().signature();
        Set<String> signInNames = new LinkedHashSet<>(List.of(signature.author()));
        signInNames.add(names.row().author());
        signInNames.addAll(names.visit().recorded().findingsBy());
        return signInNames.stream()
                .map(each -> VisitNames.practitioner(
                        each, each.equals(signature.author()) ? signature.signedAs() : people.name(each)))
                .toList();
    }

    private static Encounter encounter(VisitNames names) {
        ExaminationRow row = names.row();
        Encounter encounter = new Encounter()
                .setStatus(Encounter.EncounterStatus.FINISHED)
                .setClass_(hl7("v3-ActCode", "AMB", "ambulatory").getCodingFirstRep())
                .setSubject(names.patient())
                .setPeriod(new Period().setStart(Date.from(row.startedAt())).setEnd(names.signed()));
        encounter
                .addIdentifier()
                .setSystem(FhirNames.EXAMINATION)
                .setValue(row.getId().toString());
        encounter.addReasonCode(names.site());
        encounter.addParticipant().setIndividual(VisitNames.practitionerOf(row.author()));
        return names.named(
                encounter,
                "visit",
                "Examination of the " + names.site().getText() + " on " + Words.day(row.startedAt()));
    }

    private QuestionnaireResponse story(VisitNames names) {
        ExaminationRow row = names.row();
        QuestionnaireResponse story = new QuestionnaireResponse()
                .setStatus(QuestionnaireResponse.QuestionnaireResponseStatus.COMPLETED)
                .setSubject(names.patient())
                .setEncounter(names.encounter())
                .setAuthored(Date.from(row.startedAt()))
                .setAuthor(VisitNames.practitionerOf(row.author()));
        List<String> lines = new ArrayList<>();
        for (Answer answer : names.visit().recorded().told().answers()) {
            if (words.knows(answer.kind()) && !answer.kind().equals(SCHOOL)) {
                QuestionnaireResponse.QuestionnaireResponseItemComponent item = item(answer);
                story.addItem(item);
                lines.add(item.getText() + ": "
                        + item.getAnswer().stream()
                                .map(given -> given.getValue() instanceof Coding coding
                                        ? coding.getDisplay()
                                        : given.getValue().primitiveValue())
                                .collect(Collectors.joining(", ")));
            }
        }
        return names.named(story, "story", lines.isEmpty() ? "Nothing was asked." : String.join("\n", lines));
    }

    private QuestionnaireResponse.QuestionnaireResponseItemComponent item(Answer answer) {
        String kind = answer.kind();
        QuestionnaireResponse.QuestionnaireResponseItemComponent item =
                new QuestionnaireResponse.QuestionnaireResponseItemComponent()
                        .setLinkId(answer.question())
                        .setText(words.question(kind)
                                + (answer.about().isEmpty() ? "" : ": " + words.answer(kind, answer.about())));
        for (String value : answer.values()) {
            item.addAnswer().setValue(FhirNames.told(kind, value, words).getCodingFirstRep());
        }
        answer.number()
                .ifPresent(number -> item.addAnswer()
                        .setValue(new DecimalType(FhirNames.quantity(number, "").getValue())));
        answer.on().ifPresent(day -> item.addAnswer().setValue(new DateType(day.toString())));
        if (!answer.words().isBlank()) {
            item.addAnswer().setValue(new StringType(answer.words()));
        }
        return item;
    }
}
