package lexicor.server.examinations;

import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.context.support.DefaultProfileValidationSupport;
import ca.uhn.fhir.validation.FhirValidator;
import ca.uhn.fhir.validation.ResultSeverityEnum;
import ca.uhn.fhir.validation.SingleValidationMessage;
import java.util.ArrayList;
import java.util.List;
import org.hl7.fhir.common.hapi.validation.support.CommonCodeSystemsTerminologyService;
import org.hl7.fhir.common.hapi.validation.support.InMemoryTerminologyServerValidationSupport;
import org.hl7.fhir.common.hapi.validation.support.PrePopulatedValidationSupport;
import org.hl7.fhir.common.hapi.validation.support.SnapshotGeneratingValidationSupport;
import org.hl7.fhir.common.hapi.validation.support.ValidationSupportChain;
import org.hl7.fhir.common.hapi.validation.validator.FhirInstanceValidator;
import org.hl7.fhir.instance.model.api.IBaseResource;

/** The reference validator of R4 with its own packages and with the product's own codes, without any other server. */
final class FhirCheck {

    private final FhirValidator validator;

    /** @param vocabulary code systems, value sets and definitions of the product's own */
    FhirCheck(List<? extends IBaseResource> vocabulary) {
        FhirContext context = FhirContext.forR4Cached();
        PrePopulatedValidationSupport own = new PrePopulatedValidationSupport(context);
        vocabulary.forEach(own::addResource);
        FhirInstanceValidator instances = new FhirInstanceValidator(new ValidationSupportChain(
                new DefaultProfileValidationSupport(context),
                own,
                new CommonCodeSystemsTerminologyService(context),
                new InMemoryTerminologyServerValidationSupport(context),
                new SnapshotGeneratingValidationSupport(context)));
        instances.setAnyExtensionsAllowed(false);
        validator = context.newValidator().registerValidatorModule(instances);
    }

    /** What is found at least as severe as a warning, each with its place. */
    List<String> of(String json, ResultSeverityEnum least) {
        List<String> found = new ArrayList<>();
        for (SingleValidationMessage message :
                validator.validateWithResult(json).getMessages()) {
            if (message.getSeverity().compareTo(least) >= 0) {
                found.add(message.getSeverity() + " " + message.getLocationString() + ": " + message.getMessage());
            }
        }
        return found;
    }
}
