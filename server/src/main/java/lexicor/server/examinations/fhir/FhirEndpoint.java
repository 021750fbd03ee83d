package lexicor.server.examinations.fhir;

import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.rest.api.EncodingEnum;
import ca.uhn.fhir.rest.server.FifoMemoryPagingProvider;
import ca.uhn.fhir.rest.server.RestfulServer;
import jakarta.servlet.ServletException;
import org.springframework.boot.web.servlet.ServletRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The endpoint of FHIR, at {@code /fhir}: made at its first request, so that a clinic that never asks pays nothing. */
@Configuration
class FhirEndpoint {

    private static final int PAGE = 50;
    private static final int LARGEST_PAGE = 200;
    private static final int SEARCHES_KEPT = 50;

    @Bean
    ServletRegistrationBean<RestfulServer> fhir(FhirRecord record, Vocabulary vocabulary) {
        ServletRegistrationBean<RestfulServer> servlet =
                new ServletRegistrationBean<>(new Server(record, vocabulary), "/fhir/*");
        servlet.setName("fhir");
        return servlet;
    }

    /** Answers in JSON unless XML is asked for. */
    static final class Server extends RestfulServer {

        private static final long serialVersionUID = 1L;

        private final transient FhirRecord record;
        private final transient Vocabulary vocabulary;

        Server(FhirRecord record, Vocabulary vocabulary) {
            this.record = record;
            this.vocabulary = vocabulary;
        }

        /** No header that names the library and its version. */
        @Override
        protected String createPoweredByHeader() {
            return "";
        }

        @Override
        protected void initialize() throws ServletException {
            setFhirContext(FhirContext.forR4Cached());
            setServerName("Lexicor");
            setServerVersion("1");
            setDefaultResponseEncoding(EncodingEnum.JSON);
            FifoMemoryPagingProvider pages = new FifoMemoryPagingProvider(SEARCHES_KEPT);
            pages.setDefaultPageSize(PAGE);
            pages.setMaximumPageSize(LARGEST_PAGE);
            setPagingProvider(pages);
            setResourceProviders(RecordProviders.all(record, vocabulary));
        }
    }
}
