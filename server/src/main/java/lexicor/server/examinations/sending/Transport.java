package lexicor.server.examinations.sending;

import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.parser.DataFormatException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.server.examinations.fhir.FhirNames;
import org.hl7.fhir.r4.model.OperationOutcome;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Brings a document to a receiver. It is created under the condition that the receiver has none of its identifier
 * ({@code If-None-Exist}), so that a try whose answer was lost can be made again and makes nothing twice.
 */
@Component
class Transport {

    private static final Logger LOG = LoggerFactory.getLogger(Transport.class);

    private static final Duration TO_CONNECT = Duration.ofSeconds(5);
    private static final int SOME_WORDS = 400;

    /** Answers after which the same document may be taken later. */
    private static final Set<Integer> LATER = Set.of(408, 425, 429);

    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(TO_CONNECT)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private final String tokenFile;
    private final Duration toAnswer;

    Transport(
            @Value("${lexicor.receiver.token-file:}") String tokenFile,
            @Value("${lexicor.receiver.seconds:30}") int secondsToAnswer) {
        this.tokenFile = tokenFile;
        this.toAnswer = Duration.ofSeconds(secondsToAnswer);
    }

    /** What came of a try; {@code said} by the receiver, or why it was not reached. */
    record Outcome(Sending.State state, String said) {}

    Outcome bring(Receiver receiver, UUID document, String json) {
        try {
            HttpRequest.Builder request = HttpRequest.newBuilder(receiver.documents())
                    .timeout(toAnswer)
                    .header("Content-Type", "application/fhir+json;charset=UTF-8")
                    .header("Accept", "application/fhir+json")
                    .header("If-None-Exist", "identifier=" + FhirNames.DOCUMENT + "|" + document)
                    .POST(HttpRequest.BodyPublishers.ofString(json));
            token().ifPresent(token -> request.header("Authorization", "Bearer " + token));
            return outcome(client.send(request.build(), HttpResponse.BodyHandlers.ofString()));
        } catch (IOException unreached) {
            LOG.info("{} was not reached", receiver.address(), unreached);
            return new Outcome(Sending.State.WAITING, why(unreached));
        } catch (UncheckedIOException unread) {
            return new Outcome(Sending.State.WAITING, "The file with the receiver's secret cannot be read.");
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return new Outcome(Sending.State.WAITING, "This server was stopped.");
        }
    }

    private static String why(IOException unreached) {
        if (unreached instanceof HttpTimeoutException) {
            return "It did not answer in time.";
        }
        return unreached instanceof ConnectException
                ? "Nobody answers at its address."
                : "The line broke before it answered.";
    }

    private Optional<String> token() {
        if (tokenFile.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Files.readString(Path.of(tokenFile)).strip());
        } catch (IOException fault) {
            throw new UncheckedIOException(fault);
        }
    }

    private static Outcome outcome(HttpResponse<String> answer) {
        int status = answer.statusCode();
        if (status == 200 || status == 201) {
            return new Outcome(
                    Sending.State.ARRIVED,
                    answer.headers().firstValue("Location").orElse("It gave no name."));
        }
        String said = status + " " + words(answer.body());
        return new Outcome(
                status >= 500 || LATER.contains(status) ? Sending.State.WAITING : Sending.State.REFUSED, said.strip());
    }

    /** What an outcome says, or the beginning of what else was answered. */
    private static String words(String body) {
        try {
            return FhirContext.forR4Cached()
                    .newJsonParser()
                    .parseResource(OperationOutcome.class, body)
                    .getIssue()
                    .stream()
                    .map(issue -> issue.hasDiagnostics()
                            ? issue.getDiagnostics()
                            : issue.getDetails().getText())
                    .collect(Collectors.joining("; "));
        } catch (DataFormatException | ClassCastException other) {
            String plain = body.replaceAll("\\s+", " ");
            return plain.substring(0, Math.min(plain.length(), SOME_WORDS));
        }
    }
}
