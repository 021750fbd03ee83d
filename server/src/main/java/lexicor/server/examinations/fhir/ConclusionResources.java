package lexicor.server.examinations.fhir;

import static lexicor.server.examinations.fhir.FhirNames.hl7;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.posttest.Percent;
import lexicor.server.examinations.assessment.StandingJson;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.weighing.ConclusionJson;
import lexicor.server.words.Words;
import org.hl7.fhir.r4.model.Annotation;
import org.hl7.fhir.r4.model.ClinicalImpression;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.Condition;
import org.hl7.fhir.r4.model.DateTimeType;
import org.hl7.fhir.r4.model.DecimalType;
import org.hl7.fhir.r4.model.Extension;
import org.hl7.fhir.r4.model.Range;
import org.hl7.fhir.r4.model.RiskAssessment;
import org.hl7.fhir.r4.model.ServiceRequest;
import org.springframework.stereotype.Component;

/** Where the conditions stood when an examination was signed, what the therapist concluded from it and proposed. */
@Component
class ConclusionResources {

    static final CodeableConcept METHOD =
            FhirNames.concept(FhirNames.Codes.METHOD, "joint-differential", "Joint differential of all findings");

    private final Catalogue catalogue;

    ConclusionResources(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** @param proposals what is to be done next */
    record Concluded(
            RiskAssessment ranking,
            List<Condition> diagnoses,
            ClinicalImpression impression,
            List<ServiceRequest> proposals) {}

    Concluded of(VisitNames names, FindingResources.Found found) {
        Conclusion conclusion = Conclusion.of(names.visit().recorded().told());
        List<Condition> diagnoses = diagnoses(names, conclusion);
        return new Concluded(
                ranking(names, found),
                diagnoses,
                impression(names, conclusion, diagnoses, found),
                proposals(names, conclusion));
    }

    private static RiskAssessment ranking(VisitNames names, FindingResources.Found found) {
        List<StandingJson> standings = names.outputs().weighing().standings();
        ExaminationRow.Revisions read = names.visit().signature().revisions();
        RiskAssessment ranking = new RiskAssessment()
                .setStatus(RiskAssessment.RiskAssessmentStatus.FINAL)
                .setMethod(METHOD.copy()
                        .setText("Joint differential of all findings, by evidence " + read.evidence() + ", content "
                                + read.catalogue() + " and the clinic's decisions " + read.settings()))
                .setSubject(names.patient())
                .setEncounter(names.encounter())
                .setOccurrence(new DateTimeType(names.signed()))
                .setPerformer(names.signer());
        found.findings().forEach(each -> ranking.addBasis(VisitNames.to(each)));
        standings.forEach(standing -> ranking.addPrediction(prediction(standing)));
        ranking.addNote(new Annotation()
                .setText("Chances in percent, worked out from published accuracy of the tests and working estimates of"
                        + " how common conditions are. They support the therapist's decision and do not take its"
                        + " place."));
        return names.named(
                ranking,
                "ranking",
                standings.stream().map(ConclusionResources::inWords).collect(Collectors.joining("\n")));
    }

    private static RiskAssessment.RiskAssessmentPredictionComponent prediction(StandingJson standing) {
        RiskAssessment.RiskAssessmentPredictionComponent prediction =
                new RiskAssessment.RiskAssessmentPredictionComponent()
                        .setOutcome(FhirNames.condition(ConditionId.of(standing.conditionId()), standing.name()))
                        .setProbability(new DecimalType(FhirNames.hundredths(standing.now())))
                        .setRationale(inWords(standing));
        prediction.addExtension(new Extension(
                FhirNames.PLAUSIBLE,
                new Range().setLow(FhirNames.percent(standing.lower())).setHigh(FhirNames.percent(standing.upper()))));
        return prediction;
    }

    private static String inWords(StandingJson standing) {
        return standing.name() + ": " + Percent.of(standing.now()) + " in 100, could be " + Percent.of(standing.lower())
                + " to "
                + Percent.of(standing.upper()) + "; " + Percent.of(standing.before()) + " before the examination"
                + (standing.informed() ? "" : "; no finding was weighed for it");
    }

    private List<Condition> diagnoses(VisitNames names, Conclusion conclusion) {
        List<Condition> diagnoses = new ArrayList<>();
        if (conclusion.named()) {
            String called = conclusion
                    .working()
                    .map(id -> catalogue.condition(id).name())
                    .orElse(conclusion.inWords());
            CodeableConcept code = conclusion
                    .working()
                    .map(id -> FhirNames.condition(id, called))
                    .orElseGet(CodeableConcept::new);
            if (!conclusion.inWords().isEmpty()) {
                code.setText(conclusion.inWords());
            }
            Condition diagnosis = diagnosis(names, code, "provisional", "Provisional");
            if (conclusion.confidence().isPresent()) {
                diagnosis.addNote(new Annotation()
                        .setText("How sure the therapist is: "
                                + Percent.of(conclusion.confidence().getAsDouble()) + " in 100, "
                                + conclusion.sureness()
                                + "."));
            }
            diagnoses.add(names.named(diagnosis, "diagnosis", "Working diagnosis: " + code.getText()));
        }
        for (ConditionId rival : conclusion.rivals()) {
            String called = catalogue.condition(rival).name();
            diagnoses.add(names.named(
                    diagnosis(names, FhirNames.condition(rival, called), "differential", "Differential"),
                    "rival",
                    rival.value(),
                    "Could be instead: " + called));
        }
        return diagnoses;
    }

    private static Condition diagnosis(VisitNames names, CodeableConcept code, String status, String shown) {
        return new Condition()
                .setClinicalStatus(hl7("condition-clinical", "active", "Active"))
                .setVerificationStatus(hl7("condition-ver-status", status, shown))
                .addCategory(hl7("condition-category", "encounter-diagnosis", "Encounter Diagnosis"))
                .setCode(code)
                .addBodySite(names.site())
                .setSubject(names.patient())
                .setEncounter(names.encounter())
                .setRecordedDate(names.signed())
                .setRecorder(names.signer())
                .setAsserter(names.signer());
    }

    private static ClinicalImpression impression(
            VisitNames names, Conclusion conclusion, List<Condition> diagnoses, FindingResources.Found found) {
        List<String> lines = names.outputs().report().conclusion();
        ClinicalImpression impression = new ClinicalImpression()
                .setStatus(ClinicalImpression.ClinicalImpressionStatus.COMPLETED)
                .setSubject(names.patient())
                .setEncounter(names.encounter())
                .setEffective(new DateTimeType(names.signed()))
                .setDate(names.signed())
                .setAssessor(names.signer())
                .setSummary(lines.isEmpty() ? "Still open." : String.join("\n", lines));
        if (!found.findings().isEmpty()) {
            ClinicalImpression.ClinicalImpressionInvestigationComponent hands =
                    impression.addInvestigation().setCode(new CodeableConcept().setText("Hands-on tests"));
            found.findings().forEach(each -> hands.addItem(VisitNames.to(each)));
        }
        diagnoses.forEach(each -> impression.addFinding().setItemReference(VisitNames.to(each)));
        if (!conclusion.why().isEmpty()) {
            impression.addNote(new Annotation().setText("Why it differs from the ranking: " + conclusion.why()));
        }
        if (!conclusion.advice().isEmpty()) {
            impression.addNote(new Annotation().setText("Advice given: " + conclusion.advice()));
        }
        return names.named(impression, "impression", impression.getSummary());
    }

    private List<ServiceRequest> proposals(VisitNames names, Conclusion conclusion) {
        List<ServiceRequest> proposals = new ArrayList<>();
        for (ConditionId step : conclusion.steps()) {
            Optional<ConclusionJson.ToSettleJson> settles = names.outputs().conclusion().toSettle().stream()
                    .filter(each -> each.conditionId().equals(step.value()))
                    .findFirst();
            settles.ifPresent(each -> proposals.add(names.named(
                    proposal(names, each.by())
                            .addReasonCode(FhirNames.condition(step, each.name()))
                            .addNote(new Annotation().setText("How soon: " + each.soon())),
                    "proposal",
                    step.value(),
                    "To settle " + Words.inSentence(each.name()) + ": " + each.by() + ", " + each.soon())));
        }
        if (!conclusion.ownSteps().isEmpty()) {
            proposals.add(names.named(proposal(names, conclusion.ownSteps()), "own-steps", conclusion.ownSteps()));
        }
        conclusion.again().ifPresent(day -> {
            String tests = conclusion.markers().stream()
                    .map(test -> catalogue.test(test).name())
                    .collect(Collectors.joining(", "));
            ServiceRequest again = proposal(names, "Test again");
            again.setOccurrence(new DateTimeType(day.toString()));
            if (!tests.isEmpty()) {
                again.addNote(new Annotation().setText(tests));
            }
            proposals.add(names.named(
                    again, "again", "Test again on " + Words.day(day) + (tests.isEmpty() ? "" : ": " + tests)));
        });
        return proposals;
    }

    private static ServiceRequest proposal(VisitNames names, String what) {
        return new ServiceRequest()
                .setStatus(ServiceRequest.ServiceRequestStatus.ACTIVE)
                .setIntent(ServiceRequest.ServiceRequestIntent.PROPOSAL)
                .setCode(new CodeableConcept().setText(what))
                .setSubject(names.patient())
                .setEncounter(names.encounter())
                .setAuthoredOn(names.signed())
                .setRequester(names.signer());
    }
}
