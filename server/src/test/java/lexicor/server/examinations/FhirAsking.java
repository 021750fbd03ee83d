package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.rest.server.RestfulServer;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.hl7.fhir.instance.model.api.IBaseResource;
import org.hl7.fhir.r4.model.Bundle;
import org.hl7.fhir.r4.model.MetadataResource;
import org.hl7.fhir.r4.model.OperationOutcome;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockServletConfig;

/** Asks the endpoint of FHIR in the name of whoever is signed in. */
final class FhirAsking {

    private final RestfulServer endpoint;

    FhirAsking(RestfulServer endpoint) throws ServletException {
        this.endpoint = endpoint;
        if (endpoint.getServletConfig() == null) {
            endpoint.init(new MockServletConfig());
        }
    }

    static <T extends IBaseResource> T parsed(Class<T> type, String json) {
        return FhirContext.forR4Cached().newJsonParser().parseResource(type, json);
    }

    static String json(IBaseResource resource) {
        return FhirContext.forR4Cached().newJsonParser().encodeResourceToString(resource);
    }

    static <T> List<T> those(Bundle bundle, Class<T> type) {
        return bundle.getEntry().stream()
                .map(Bundle.BundleEntryComponent::getResource)
                .filter(type::isInstance)
                .map(type::cast)
                .toList();
    }

    MockHttpServletResponse asked(String method, String address) throws IOException, ServletException {
        String path = address.replaceAll("\\?.*", "");
        MockHttpServletRequest request = new MockHttpServletRequest(method, "/fhir/" + path);
        request.setServletPath("/fhir");
        request.setPathInfo("/" + path);
        if (address.contains("?")) {
            request.setQueryString(address.substring(path.length() + 1));
            for (String pair : request.getQueryString().split("&")) {
                request.addParameter(pair.split("=")[0], pair.split("=")[1]);
            }
        }
        MockHttpServletResponse response = new MockHttpServletResponse();
        endpoint.service(request, response);
        return response;
    }

    <T extends IBaseResource> T read(Class<T> type, String address) throws IOException, ServletException {
        MockHttpServletResponse response = asked("GET", address);
        assertThat(response.getStatus())
                .as(address + ": " + response.getContentAsString())
                .isEqualTo(200);
        return parsed(type, response.getContentAsString());
    }

    void refused(String method, String address, int status) throws IOException, ServletException {
        MockHttpServletResponse response = asked(method, address);
        assertThat(response.getStatus()).as(response.getContentAsString()).isEqualTo(status);
        assertThat(parsed(OperationOutcome.class, response.getContentAsString()).getIssue())
                .isNotEmpty();
        assertThat(response.getContentAsString()).doesNotContain("java.").doesNotContain("\tat ");
    }

    /** The product's own code systems, value sets and definitions. */
    List<MetadataResource> vocabulary() throws IOException, ServletException {
        List<MetadataResource> vocabulary = new ArrayList<>();
        for (String type : List.of("CodeSystem", "ValueSet", "StructureDefinition")) {
            vocabulary.addAll(those(read(Bundle.class, type + "?_count=200"), MetadataResource.class));
        }
        return vocabulary;
    }
}
