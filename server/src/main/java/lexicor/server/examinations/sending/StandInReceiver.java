package lexicor.server.examinations.sending;

import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.parser.DataFormatException;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.hl7.fhir.r4.model.Bundle;
import org.hl7.fhir.r4.model.OperationOutcome;
import org.hl7.fhir.r4.model.Patient;

/**
 * A small receiver of documents, to try sending without anybody's system. It keeps what it is given in memory, prints a
 * line for each, and can be slow, refuse, lose its answer or fail on demand. It listens on this machine alone.
 */
public final class StandInReceiver implements AutoCloseable {

    private static final int WRONG_CALL = 2;
    private static final int NOT_STARTED = 4;
    private static final int USUAL_PORT = 8090;
    private static final int SLOW_SECONDS = 45;
    private static final int NO_BODY = -1;
    private static final String PORT = "--port=";
    private static final String FAULT = "--fault=";

    /** What it does amiss. */
    public enum Fault {
        NONE,
        /** Takes the document and answers after {@value #SLOW_SECONDS} seconds. */
        SLOW,
        /** Answers that it never takes it. */
        REFUSE,
        /** Takes the document and closes the line without an answer. */
        LOSE,
        /** Answers that it cannot take anything now. */
        FAIL
    }

    private final HttpServer server;
    private final PrintStream out;
    private final Map<String, String> kept = new LinkedHashMap<>();
    private volatile Fault fault;

    public StandInReceiver(int port, Fault fault, PrintStream out) throws IOException {
        this.fault = fault;
        this.out = out;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.setExecutor(Executors.newCachedThreadPool(work -> {
            Thread thread = new Thread(work, "receiver");
            thread.setDaemon(true);
            return thread;
        }));
        server.createContext("/fhir/Bundle", this::answer);
        server.start();
    }

    /** Whether a call of the program is for this. */
    public static boolean knows(String[] arguments) {
        return arguments.length > 0 && arguments[0].equals("receiver");
    }

    /** Starts one as a call asks for, and stays; gives a code to exit with where it cannot. */
    public static int run(String[] arguments, PrintStream out, PrintStream faults) {
        int port = USUAL_PORT;
        Fault fault = Fault.NONE;
        for (String argument : List.of(arguments).subList(1, arguments.length)) {
            try {
                if (argument.startsWith(PORT)) {
                    port = Integer.parseInt(argument.substring(PORT.length()));
                } else if (argument.startsWith(FAULT)) {
                    fault = Fault.valueOf(argument.substring(FAULT.length()).toUpperCase(Locale.ROOT));
                } else {
                    throw new IllegalArgumentException(argument);
                }
            } catch (IllegalArgumentException unknown) {
                faults.println("lexicor: '" + argument
                        + "' is not known here; allowed: --port=N, --fault=none|slow|refuse|lose|fail");
                return WRONG_CALL;
            }
        }
        try {
            StandInReceiver receiver = new StandInReceiver(port, fault, out);
            out.println("A receiver to try with is ready at " + receiver.address()
                    + (fault == Fault.NONE ? "" : "; it is to " + fault.name().toLowerCase(Locale.ROOT)));
            Thread.currentThread().join();
            return 0;
        } catch (IOException | IllegalArgumentException taken) {
            faults.println("lexicor: no receiver can listen on port " + port + ": " + taken.getMessage());
            return NOT_STARTED;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return 0;
        }
    }

    /** Where its resources begin. */
    public String address() {
        return "http://localhost:" + server.getAddress().getPort() + "/fhir";
    }

    /** Lets it do something amiss from now on. */
    public void fault(Fault next) {
        fault = next;
    }

    /** How many documents it keeps. */
    public int count() {
        synchronized (kept) {
            return kept.size();
        }
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
            Fault now = fault;
            if (!exchange.getRequestMethod().equals("POST")) {
                say(exchange, 405, "Only POST is taken here.");
            } else if (now == Fault.REFUSE) {
                say(exchange, 422, "This receiver takes no documents of this kind.");
            } else if (now == Fault.FAIL) {
                say(exchange, 503, "This receiver cannot take anything now.");
            } else {
                take(exchange, body, now);
            }
        }
    }

    private void take(HttpExchange exchange, String body, Fault now) throws IOException {
        Bundle document;
        try {
            document = FhirContext.forR4Cached().newJsonParser().parseResource(Bundle.class, body);
        } catch (DataFormatException | ClassCastException unread) {
            say(exchange, 400, "This is no Bundle of FHIR R4.");
            return;
        }
        String identifier = document.getIdentifier().getSystem() + "|"
                + document.getIdentifier().getValue();
        String condition = exchange.getRequestHeaders().getFirst("If-None-Exist");
        boolean known;
        String place;
        synchronized (kept) {
            known = ("identifier=" + identifier).equals(condition) && kept.containsKey(identifier);
            place = known ? kept.get(identifier) : "Bundle/" + (kept.size() + 1);
            kept.put(known ? identifier : unique(identifier), place);
        }
        out.println((known ? "had already: " : "took: ") + place + ", "
                + document.getEntry().stream()
                        .map(Bundle.BundleEntryComponent::getResource)
                        .filter(Patient.class::isInstance)
                        .map(each -> ((Patient) each).getIdentifierFirstRep().getValue())
                        .findFirst()
                        .orElse("no patient")
                + ", " + document.getEntry().size() + " resources, " + body.length() / 1024 + " kB");
        if (now == Fault.LOSE) {
            return;
        }
        if (now == Fault.SLOW) {
            pause();
        }
        exchange.getResponseHeaders().set("Location", place);
        exchange.sendResponseHeaders(known ? 200 : 201, NO_BODY);
    }

    /** The name under which a document is kept: its identifier, with a mark where it came twice without a condition. */
    private String unique(String identifier) {
        return kept.containsKey(identifier) ? identifier + " again " + kept.size() : identifier;
    }

    private static void pause() {
        try {
            TimeUnit.SECONDS.sleep(SLOW_SECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static void say(HttpExchange exchange, int status, String words) throws IOException {
        OperationOutcome outcome = new OperationOutcome();
        outcome.addIssue()
                .setSeverity(OperationOutcome.IssueSeverity.ERROR)
                .setCode(OperationOutcome.IssueType.PROCESSING)
                .setDiagnostics(words);
        byte[] body = FhirContext.forR4Cached()
                .newJsonParser()
                .encodeResourceToString(outcome)
                .getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/fhir+json;charset=UTF-8");
        exchange.sendResponseHeaders(status, body.length);
        exchange.getResponseBody().write(body);
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
