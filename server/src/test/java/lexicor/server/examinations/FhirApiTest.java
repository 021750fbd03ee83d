package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ca.uhn.fhir.rest.server.RestfulServer;
import ca.uhn.fhir.validation.ResultSeverityEnum;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import lexicor.core.examination.Answer;
import lexicor.server.Asking;
import lexicor.server.accounts.Role;
import org.hl7.fhir.r4.model.Bundle;
import org.hl7.fhir.r4.model.CapabilityStatement;
import org.hl7.fhir.r4.model.Composition;
import org.hl7.fhir.r4.model.Condition;
import org.hl7.fhir.r4.model.DocumentReference;
import org.hl7.fhir.r4.model.Encounter;
import org.hl7.fhir.r4.model.MetadataResource;
import org.hl7.fhir.r4.model.Observation;
import org.hl7.fhir.r4.model.Patient;
import org.hl7.fhir.r4.model.Practitioner;
import org.hl7.fhir.r4.model.QuestionnaireResponse;
import org.hl7.fhir.r4.model.RiskAssessment;
import org.hl7.fhir.r4.model.ServiceRequest;
import org.hl7.fhir.r4.model.StructureDefinition;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.web.servlet.ServletRegistrationBean;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** Signed examinations as FHIR: a document, and resources that are read and searched. */
class FhirApiTest extends AtTheBench {

    @Autowired
    private ServletRegistrationBean<RestfulServer> endpoint;

    @Autowired
    private MockMvcTester mvc;

    private FhirAsking fhir;
    private String id;
    private String caseId;
    private String code;

    @BeforeEach
    void begin() throws ServletException {
        code = "FH-" + UUID.randomUUID().toString().substring(0, 8);
        JsonNode begun = therapist.post("/api/cases", Visit.start(code), 201);
        id = begun.get("id").asString();
        caseId = begun.at("/person/id").asString();
        fhir = new FhirAsking(endpoint.getServlet());
    }

    private void examineAndSign() {
        send(
                id,
                visit.tell(
                        Answer.of("onset", "slowly"),
                        Answer.number("pain-now", 4),
                        Answer.of("red-flags", "none"),
                        Answer.of("facts", "none")),
                visit.record("sh-neer", "pain=familiar"),
                visit.record("sh-er-resist", "pain=none", "strength=weak", "force=52"),
                visit.recordWell("sh-er-resist", "pain=none", "strength=full", "force=80"),
                visit.record("sh-rom", "flexion=100°"),
                visit.record("sh-hawkins", "quality=skipped"),
                visit.tell(
                        Answer.of("working", "subacromial-pain"),
                        Answer.of("rivals", "acj"),
                        Answer.number("confidence", 0.7),
                        Answer.because("own-steps", "Ultrasound of the cuff"),
                        Answer.on("again-on", LocalDate.now().plusDays(20)),
                        Answer.of("markers", "sh-er-resist")));
        sign(id);
    }

    private void sign(String examination) {
        long knows = therapist
                .get("/api/examinations/" + examination + "/weighing", 200)
                .get("knows")
                .asLong();
        therapist.post("/api/examinations/" + examination + "/signature", Map.of("knows", knows), 200);
    }

    private Bundle document(String examination) {
        return FhirAsking.parsed(Bundle.class, therapist.text("/api/examinations/" + examination + "/fhir.json"));
    }

    @Test
    void a_signed_examination_is_a_document_with_everything_in_its_place() {
        examineAndSign();
        Bundle document = document(id);
        assertThat(document.getType()).isEqualTo(Bundle.BundleType.DOCUMENT);
        assertThat(document.getEntryFirstRep().getResource()).isInstanceOf(Composition.class);
        Patient patient = FhirAsking.those(document, Patient.class).get(0);
        assertThat(patient.getIdentifierFirstRep().getValue()).isEqualTo(code);
        assertThat(patient.hasName()).isFalse();
        assertThat(patient.getBirthDateElement().getValueAsString()).isEqualTo("1974");

        List<Observation> observations = FhirAsking.those(document, Observation.class);
        Observation weak = named(observations, "sh-er-resist").stream()
                .filter(each -> each.getBodySite().getText().equals("right shoulder"))
                .findFirst()
                .orElseThrow();
        assertThat(weak.getComponent())
                .anySatisfy(part -> {
                    assertThat(part.getCode().getCodingFirstRep().getCode()).isEqualTo("sh-er-resist.force");
                    assertThat(part.getValueQuantity().getValue().doubleValue()).isEqualTo(52);
                    assertThat(part.getValueQuantity().getCode()).isEqualTo("N");
                })
                .anySatisfy(part -> assertThat(part.getValueCodeableConcept()
                                .getCodingFirstRep()
                                .getCode())
                        .isEqualTo("sh-er-resist.strength.weak"));
        assertThat(named(observations, "sh-hawkins")
                        .get(0)
                        .getDataAbsentReason()
                        .getCodingFirstRep()
                        .getCode())
                .isEqualTo("not-performed");
        assertThat(observations)
                .filteredOn(each -> each.getCode().getCodingFirstRep().getCode().startsWith("sh-neer."))
                .isNotEmpty()
                .allSatisfy(reading -> {
                    assertThat(reading.getInterpretationFirstRep()
                                    .getCodingFirstRep()
                                    .getCode())
                            .isEqualTo("POS");
                    assertThat(reading.getDerivedFrom()).hasSize(1);
                });
        assertThat(named(observations, "force-of-other-side")
                        .get(0)
                        .getValueQuantity()
                        .getValue()
                        .intValue())
                .isEqualTo(65);
        assertThat(named(observations, "pain-now").get(0).getCode().getCoding())
                .extracting(each -> each.getCode())
                .contains("72514-3");

        assertThat(FhirAsking.those(document, QuestionnaireResponse.class)
                        .get(0)
                        .getItem())
                .anySatisfy(item -> assertThat(item.getLinkId()).isEqualTo("onset"));
        assertThat(FhirAsking.those(document, Condition.class))
                .extracting(
                        each -> each.getVerificationStatus().getCodingFirstRep().getCode())
                .containsExactly("provisional", "differential");
        assertThat(FhirAsking.those(document, ServiceRequest.class))
                .extracting(each -> each.getCode().getText())
                .containsExactlyInAnyOrder("Ultrasound of the cuff", "Test again");
        assertThat(FhirAsking.those(document, Practitioner.class))
                .extracting(each -> each.getNameFirstRep().getText())
                .containsExactly("dale");
        byte[] pdf = FhirAsking.those(document, DocumentReference.class)
                .get(0)
                .getContentFirstRep()
                .getAttachment()
                .getData();
        assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    }

    private static List<Observation> named(List<Observation> observations, String code) {
        return observations.stream()
                .filter(each -> each.getCode().getCodingFirstRep().getCode().equals(code))
                .toList();
    }

    @Test
    void the_ranking_is_the_one_that_was_signed() {
        examineAndSign();
        Map<String, JsonNode> standings = StreamSupport.stream(
                        weighing(id).get("standings").spliterator(), false)
                .collect(Collectors.toMap(each -> each.get("conditionId").asString(), each -> each));
        RiskAssessment ranking =
                FhirAsking.those(document(id), RiskAssessment.class).get(0);
        assertThat(ranking.getPrediction()).hasSize(standings.size()).allSatisfy(prediction -> {
            JsonNode standing =
                    standings.get(prediction.getOutcome().getCodingFirstRep().getCode());
            assertThat(prediction.getProbabilityDecimalType().getValue().doubleValue())
                    .isCloseTo(100 * standing.get("now").asDouble(), within(0.005));
            assertThat(prediction.getExtension()).hasSize(1);
            assertThat(prediction.getRationale()).doesNotContainPattern("\\b(0|100) in 100");
        });
        assertThat(ranking.getMethod().getText()).contains("evidence");
    }

    @Test
    void documents_and_vocabulary_stand_before_the_reference_validator() throws IOException, ServletException {
        examineAndSign();
        List<MetadataResource> vocabulary = fhir.vocabulary();
        assertThat(vocabulary).hasSizeGreaterThan(20);
        FhirCheck check = new FhirCheck(vocabulary);
        List<String> found =
                check.of(therapist.text("/api/examinations/" + id + "/fhir.json"), ResultSeverityEnum.WARNING);
        // what needs a server of terms: the two codes of LOINC
        assertThat(found)
                .allSatisfy(each -> assertThat(each).startsWith("WARNING").contains("loinc.org"));
        // a definition is checked by its use: by itself it needs packages that are only on the net
        for (MetadataResource each : vocabulary.stream()
                .filter(each -> !(each instanceof StructureDefinition))
                .toList()) {
            assertThat(check.of(FhirAsking.json(each), ResultSeverityEnum.ERROR))
                    .as(each.getIdElement().getValue())
                    .isEmpty();
        }
    }

    @Test
    void an_open_examination_does_not_leave() throws IOException, ServletException {
        send(id, visit.record("sh-neer", "pain=familiar"));
        assertThat(therapist
                        .get("/api/examinations/" + id + "/fhir.json", 409)
                        .get("detail")
                        .asString())
                .contains("Sign it first");
        fhir.refused("GET", "Patient/" + caseId, 404);
        assertThat(fhir.read(Bundle.class, "Observation?patient=" + caseId).getEntry())
                .isEmpty();
    }

    @Test
    void resources_are_read_by_id_and_searched_by_patient_and_day() throws IOException, ServletException {
        examineAndSign();
        List<Encounter> visits =
                FhirAsking.those(fhir.read(Bundle.class, "Encounter?patient=" + caseId), Encounter.class);
        assertThat(visits).hasSize(1);
        String today = LocalDate.now().toString();
        assertThat(fhir.read(Bundle.class, "Encounter?patient=" + caseId + "&date=ge" + today)
                        .getEntry())
                .hasSize(1);
        assertThat(fhir.read(Bundle.class, "Encounter?patient=" + caseId + "&date=lt" + today)
                        .getEntry())
                .isEmpty();
        Observation first = FhirAsking.those(
                        fhir.read(Bundle.class, "Observation?patient=" + caseId), Observation.class)
                .get(0);
        Observation again = fhir.read(
                Observation.class, "Observation/" + first.getIdElement().getIdPart());
        assertThat(FhirAsking.json(again)).isEqualTo(FhirAsking.json(first));
        assertThat(fhir.read(Patient.class, "Patient/" + caseId)
                        .getIdentifierFirstRep()
                        .getValue())
                .isEqualTo(code);
        assertThat(FhirAsking.those(fhir.read(Bundle.class, "Patient?identifier=" + code), Patient.class))
                .hasSize(1);
        String practitioner = visits.get(0)
                .getParticipantFirstRep()
                .getIndividual()
                .getReferenceElement()
                .getIdPart();
        assertThat(practitioner).hasSize(36);
        assertThat(fhir.read(CapabilityStatement.class, "metadata")
                        .getRestFirstRep()
                        .getResource())
                .extracting(each -> each.getType())
                .contains("Patient", "Observation", "RiskAssessment", "CodeSystem");
    }

    @Test
    void everything_of_a_patient_comes_in_pages_and_each_resource_once() throws IOException, ServletException {
        examineAndSign();
        Bundle whole = fhir.read(Bundle.class, "Patient/" + caseId + "/$everything?_count=200");
        List<String> ids = whole.getEntry().stream()
                .map(each -> each.getResource().fhirType() + "/"
                        + each.getResource().getIdElement().getIdPart())
                .toList();
        assertThat(ids).doesNotHaveDuplicates().hasSizeGreaterThan(10);
        assertThat(ids.get(0)).isEqualTo("Patient/" + caseId);
        Bundle page = fhir.read(Bundle.class, "Patient/" + caseId + "/$everything?_count=5");
        assertThat(page.getEntry()).hasSize(5);
        assertThat(page.getLink("next")).isNotNull();
        assertThat(page.getTotal()).isEqualTo(ids.size());
    }

    @Test
    void a_later_version_has_the_same_ids_and_a_higher_version() throws IOException, ServletException {
        examineAndSign();
        List<String> before = ids(document(id));
        therapist.post("/api/examinations/" + id + "/amendment", Map.of("reason", "The other arm was meant"), 200);
        send(id, visit.record("sh-cross-body", "pain=none"));
        sign(id);
        Bundle later = document(id);
        assertThat(ids(later))
                .containsAll(before.stream()
                        .filter(each -> !each.contains("-reading-"))
                        .toList());
        assertThat(FhirAsking.those(later, Composition.class).get(0).getStatus())
                .isEqualTo(Composition.CompositionStatus.AMENDED);
        assertThat(FhirAsking.those(later, Encounter.class).get(0).getMeta().getVersionId())
                .isEqualTo("2");
        MockHttpServletResponse response = fhir.asked(
                "GET",
                "Encounter/" + FhirAsking.those(later, Encounter.class).get(0).getIdPart());
        assertThat(response.getHeader("ETag")).isEqualTo("W/\"2\"");
    }

    private static List<String> ids(Bundle document) {
        return document.getEntry().stream()
                .map(Bundle.BundleEntryComponent::getFullUrl)
                .sorted(Comparator.naturalOrder())
                .toList();
    }

    @Test
    void what_is_asked_amiss_is_named_and_nothing_can_be_written() throws IOException, ServletException {
        fhir.refused("GET", "Observation", 400);
        fhir.refused("GET", "Observation?patient=nobody", 404);
        fhir.refused("GET", "Observation/no-id-of-ours", 404);
        fhir.refused("GET", "Observation/" + UUID.randomUUID().toString().replace("-", "") + "-finding-1", 404);
        fhir.refused("GET", "Patient/" + UUID.randomUUID(), 404);
        fhir.refused("GET", "Practitioner/" + UUID.randomUUID(), 404);
        fhir.refused("GET", "Encounter?patient=" + caseId + "&date=soon", 400);
        fhir.refused("GET", "Medication/1", 404);
        fhir.refused("DELETE", "Patient/" + caseId, 400);
    }

    @Test
    void each_reading_stands_in_the_audit() throws IOException, ServletException {
        examineAndSign();
        fhir.read(Bundle.class, "Condition?patient=" + caseId);
        JsonNode lines = Asking.as(mvc, "brook", Role.ADMINISTRATOR).get("/api/audit?subjectId=" + caseId, 200);
        assertThat(lines.toString()).contains("FHIR: Condition");
    }
}
