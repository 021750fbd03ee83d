package lexicor.server.examinations.fhir;

import ca.uhn.fhir.model.api.annotation.Description;
import ca.uhn.fhir.model.valueset.BundleTypeEnum;
import ca.uhn.fhir.rest.annotation.IdParam;
import ca.uhn.fhir.rest.annotation.Operation;
import ca.uhn.fhir.rest.annotation.OptionalParam;
import ca.uhn.fhir.rest.annotation.Read;
import ca.uhn.fhir.rest.annotation.RequiredParam;
import ca.uhn.fhir.rest.annotation.Search;
import ca.uhn.fhir.rest.api.server.IBundleProvider;
import ca.uhn.fhir.rest.param.DateRangeParam;
import ca.uhn.fhir.rest.param.ReferenceParam;
import ca.uhn.fhir.rest.param.TokenParam;
import ca.uhn.fhir.rest.param.UriParam;
import ca.uhn.fhir.rest.server.IResourceProvider;
import ca.uhn.fhir.rest.server.SimpleBundleProvider;
import ca.uhn.fhir.rest.server.exceptions.ResourceNotFoundException;
import ca.uhn.fhir.rest.server.exceptions.UnclassifiedServerFailureException;
import java.time.ZoneId;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import lexicor.server.problems.Busy;
import lexicor.server.problems.NotFound;
import org.hl7.fhir.instance.model.api.IBaseResource;
import org.hl7.fhir.r4.model.ClinicalImpression;
import org.hl7.fhir.r4.model.CodeSystem;
import org.hl7.fhir.r4.model.Condition;
import org.hl7.fhir.r4.model.Encounter;
import org.hl7.fhir.r4.model.IdType;
import org.hl7.fhir.r4.model.MetadataResource;
import org.hl7.fhir.r4.model.Observation;
import org.hl7.fhir.r4.model.Patient;
import org.hl7.fhir.r4.model.Practitioner;
import org.hl7.fhir.r4.model.QuestionnaireResponse;
import org.hl7.fhir.r4.model.Resource;
import org.hl7.fhir.r4.model.RiskAssessment;
import org.hl7.fhir.r4.model.ServiceRequest;
import org.hl7.fhir.r4.model.StructureDefinition;
import org.hl7.fhir.r4.model.ValueSet;

/** What can be read and searched, one provider for each type of resource. Nothing can be written. */
final class RecordProviders {

    private RecordProviders() {}

    static List<IResourceProvider> all(FhirRecord record, Vocabulary vocabulary) {
        return List.of(
                new OfPatients(record),
                new OfPractitioners(record),
                new Dated<>(record, Encounter.class),
                new Dated<>(record, Observation.class),
                new Dated<>(record, RiskAssessment.class),
                new Dated<>(record, ClinicalImpression.class),
                new Plain<>(record, Condition.class),
                new Plain<>(record, QuestionnaireResponse.class),
                new Plain<>(record, ServiceRequest.class),
                new OfVocabulary<>(vocabulary, CodeSystem.class),
                new OfVocabulary<>(vocabulary, ValueSet.class),
                new OfVocabulary<>(vocabulary, StructureDefinition.class));
    }

    /** Asks the record and says its refusals in the words of FHIR. */
    private static <T> T asked(Supplier<T> question) {
        try {
            return question.get();
        } catch (NotFound missing) {
            throw new ResourceNotFoundException(missing.getMessage());
        } catch (Busy busy) {
            throw new UnclassifiedServerFailureException(503, busy.getMessage());
        }
    }

    private static UUID caseId(String id) {
        try {
            return UUID.fromString(id);
        } catch (IllegalArgumentException none) {
            throw none("Patient", id);
        }
    }

    private static ResourceNotFoundException none(String type, String id) {
        return new ResourceNotFoundException("There is no " + type + " " + id + " on this server.");
    }

    private static IBundleProvider bundle(Stream<? extends Resource> resources) {
        return new SimpleBundleProvider(resources.toList());
    }

    /** Resources of examinations: read by id, searched by patient. */
    static class OfVisits<T extends Resource> implements IResourceProvider {

        private final FhirRecord record;
        private final Class<T> type;

        OfVisits(FhirRecord record, Class<T> type) {
            this.record = record;
            this.type = type;
        }

        @Override
        public Class<T> getResourceType() {
            return type;
        }

        /** The resource of an id, of the last signed version. */
        @Read
        public IBaseResource read(@IdParam IdType id) {
            String part = id.getIdPart();
            String name = type.getSimpleName();
            UUID visit = VisitNames.visitOf(part).orElseThrow(() -> none(name, part));
            return asked(() -> record.ofVisit(visit, name, part));
        }

        Stream<T> ofPatient(ReferenceParam patient) {
            return asked(() -> record.ofCase(caseId(patient.getIdPart()), type.getSimpleName())).stream()
                    .flatMap(visit -> visit.all().stream())
                    .filter(type::isInstance)
                    .map(type::cast);
        }
    }

    /** Searched by patient alone. */
    static class Plain<T extends Resource> extends OfVisits<T> {

        Plain(FhirRecord record, Class<T> type) {
            super(record, type);
        }

        /** All of a patient. */
        @Search
        public IBundleProvider search(
                @Description(shortDefinition = "Id of the patient") @RequiredParam(name = "patient")
                        ReferenceParam patient) {
            return bundle(ofPatient(patient));
        }
    }

    /** Searched by patient and by day. */
    static class Dated<T extends Resource> extends OfVisits<T> {

        Dated(FhirRecord record, Class<T> type) {
            super(record, type);
        }

        /** Those of a patient, within some days where these are named. */
        @Search
        public IBundleProvider search(
                @Description(shortDefinition = "Id of the patient") @RequiredParam(name = "patient")
                        ReferenceParam patient,
                @Description(shortDefinition = "When it was") @OptionalParam(name = "date") DateRangeParam days) {
            SearchedDays searched =
                    new SearchedDays(days == null ? new DateRangeParam() : days, ZoneId.systemDefault());
            return bundle(ofPatient(patient)
                    .filter(each -> searched.include(when(each).toInstant())));
        }

        private static Date when(Resource resource) {
            if (resource instanceof Encounter visit) {
                return visit.getPeriod().getStart();
            }
            if (resource instanceof Observation found) {
                return found.getEffectiveDateTimeType().getValue();
            }
            return resource instanceof RiskAssessment ranking
                    ? ranking.getOccurrenceDateTimeType().getValue()
                    : ((ClinicalImpression) resource).getDate();
        }
    }

    /** Patients, by id and by case code, and everything of one. */
    static final class OfPatients implements IResourceProvider {

        private final FhirRecord record;

        OfPatients(FhirRecord record) {
            this.record = record;
        }

        @Override
        public Class<Patient> getResourceType() {
            return Patient.class;
        }

        /** The patient of an id, as the last signed examination has it. */
        @Read
        public Patient read(@IdParam IdType id) {
            return latest(caseId(id.getIdPart()))
                    .orElseThrow(() -> new ResourceNotFoundException(
                            "There is no signed examination of Patient " + id.getIdPart() + "."));
        }

        private Optional<Patient> latest(UUID caseId) {
            return asked(() -> record.ofCase(caseId, "Patient")).stream()
                    .findFirst()
                    .map(VisitResources.Whole::patient);
        }

        /** The patient of a case code. */
        @Search
        public IBundleProvider search(
                @Description(shortDefinition = "The case code") @RequiredParam(name = "identifier") TokenParam code) {
            if (code.getSystem() != null
                    && !code.getSystem().isEmpty()
                    && !code.getSystem().equals(FhirNames.CASE)) {
                return bundle(Stream.empty());
            }
            return bundle(record.caseOf(code.getValue()).flatMap(this::latest).stream());
        }

        /** Everything of a patient: each resource once, as the latest examination has it. */
        @Operation(name = "$everything", idempotent = true, bundleType = BundleTypeEnum.SEARCHSET)
        public IBundleProvider everything(@IdParam IdType id) {
            Map<String, Resource> once = new LinkedHashMap<>();
            asked(() -> record.ofCase(caseId(id.getIdPart()), "everything")).stream()
                    .flatMap(visit -> visit.all().stream())
                    .forEach(each -> once.putIfAbsent(each.fhirType() + "/" + each.getIdPart(), each));
            if (once.isEmpty()) {
                throw new ResourceNotFoundException(
                        "There is no signed examination of Patient " + id.getIdPart() + ".");
            }
            return bundle(once.values().stream());
        }
    }

    /** Those who examined or signed: named by a search of what they did, not listed. */
    static final class OfPractitioners implements IResourceProvider {

        private final FhirRecord record;

        OfPractitioners(FhirRecord record) {
            this.record = record;
        }

        @Override
        public Class<Practitioner> getResourceType() {
            return Practitioner.class;
        }

        /** The practitioner of an id. */
        @Read
        public Practitioner read(@IdParam IdType id) {
            return record.practitioner(id.getIdPart()).orElseThrow(() -> none("Practitioner", id.getIdPart()));
        }
    }

    /** The own codes and extensions, by id and by address. */
    static final class OfVocabulary<T extends MetadataResource> implements IResourceProvider {

        private final Vocabulary vocabulary;
        private final Class<T> type;

        OfVocabulary(Vocabulary vocabulary, Class<T> type) {
            this.vocabulary = vocabulary;
            this.type = type;
        }

        @Override
        public Class<T> getResourceType() {
            return type;
        }

        private Stream<T> all() {
            return vocabulary.all().stream().filter(type::isInstance).map(type::cast);
        }

        /** The definition of an id. */
        @Read
        public IBaseResource read(@IdParam IdType id) {
            return all().filter(each -> each.getIdPart().equals(id.getIdPart()))
                    .findFirst()
                    .orElseThrow(() -> none(type.getSimpleName(), id.getIdPart()));
        }

        /** Those of an address, or all. */
        @Search
        public IBundleProvider search(
                @Description(shortDefinition = "Its address") @OptionalParam(name = "url") UriParam url) {
            return bundle(all().filter(each -> url == null || each.getUrl().equals(url.getValue())));
        }
    }
}
