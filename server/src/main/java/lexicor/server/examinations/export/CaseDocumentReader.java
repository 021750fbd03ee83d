package lexicor.server.examinations.export;

import jakarta.validation.Validator;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.server.examinations.record.AttemptJson;
import lexicor.server.examinations.record.CommandCheck;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.CommandKind;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.FieldFault;
import lexicor.server.problems.JsonPath;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/** Reads a case from its text, and finds whatever in it could not stand in a record. */
@Component
class CaseDocumentReader {

    /** Faults that are named; a file with more has something else wrong. */
    private static final int MOST_FAULTS = 20;

    /** Nothing was recorded before. */
    private static final Instant FIRST = Instant.parse("2000-01-01T00:00:00Z");

    /** By how much the clock of another server may be ahead. */
    private static final Duration AHEAD = Duration.ofMinutes(5);

    private final JsonMapper json;
    private final Validator validator;
    private final Catalogue catalogue;
    private final Clock clock;

    CaseDocumentReader(JsonMapper json, Validator validator, Catalogue catalogue, Clock clock) {
        this.json = json.rebuild()
                .enable(
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .build();
        this.validator = validator;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    /**
     * A case from its text.
     *
     * @throws BadInput that names every field at fault, twenty at most
     */
    CaseDocument read(String text) {
        CaseDocument document = parsed(text);
        List<FieldFault> faults = new ArrayList<>(validator.validate(document).stream()
                .map(fault -> new FieldFault(fault.getPropertyPath().toString(), fault.getMessage()))
                .sorted((one, other) -> one.field().compareTo(other.field()))
                .toList());
        if (faults.isEmpty()) {
            new Check(document, faults, clock.instant().plus(AHEAD)).all();
        }
        if (!faults.isEmpty()) {
            throw new BadInput(faults.subList(0, Math.min(MOST_FAULTS, faults.size())));
        }
        return document;
    }

    private CaseDocument parsed(String text) {
        try {
            JsonNode tree = json.readTree(text);
            if (!tree.path("format").asString("").equals(CaseDocument.FORMAT)) {
                throw new BadInput("format", "this is no case of Lexicor; allowed: " + CaseDocument.FORMAT);
            }
            int version = tree.path("version").asInt(0);
            if (version > CaseDocument.VERSION) {
                throw new BadInput(
                        "version",
                        "'" + version + "' was written by a newer Lexicor; allowed: " + CaseDocument.VERSION
                                + ", or bring it in after an upgrade");
            }
            return json.treeToValue(tree, CaseDocument.class);
        } catch (UnrecognizedPropertyException unknown) {
            throw new BadInput(
                    JsonPath.of(unknown),
                    "is not known; allowed: "
                            + unknown.getKnownPropertyIds().stream()
                                    .map(String::valueOf)
                                    .sorted()
                                    .collect(Collectors.joining(", ")));
        } catch (JacksonException unreadable) {
            String path = JsonPath.of(unreadable);
            throw new BadInput(
                    path.isEmpty() ? "file" : path,
                    "cannot be read" + place(unreadable) + "; allowed: a case as Lexicor writes it");
        }
    }

    private static String place(JacksonException fault) {
        return fault.getLocation() == null || fault.getLocation().getLineNr() < 1
                ? ""
                : ", line " + fault.getLocation().getLineNr() + ", column "
                        + fault.getLocation().getColumnNr();
    }

    /** What parts of a document say of each other. */
    private final class Check {

        private final CaseDocument document;
        private final List<FieldFault> faults;
        private final Instant latest;
        private final Set<UUID> commands = new HashSet<>();
        private final Set<UUID> attempts = new HashSet<>();

        Check(CaseDocument document, List<FieldFault> faults, Instant latest) {
            this.document = document;
            this.faults = faults;
            this.latest = latest;
        }

        void all() {
            time("person.createdAt", document.person().createdAt());
            for (String name : CaseDocuments.named(document.complaints(), document.visits())) {
                if (!document.people().containsKey(name)) {
                    faults.add(new FieldFault("people." + name, "is missing; allowed: the name of everybody named"));
                }
            }
            Map<UUID, CaseDocument.ComplaintPart> complaints = document.complaints().stream()
                    .collect(Collectors.toMap(
                            CaseDocument.ComplaintPart::id, complaint -> complaint, (one, other) -> one));
            for (int i = 0; i < document.complaints().size(); i++) {
                complaint("complaints[" + i + "].", document.complaints().get(i));
            }
            Set<UUID> before = new HashSet<>();
            for (int i = 0; i < document.visits().size(); i++) {
                CaseDocument.VisitPart visit = document.visits().get(i);
                visit("visits[" + i + "].", visit, complaints.get(visit.complaint()), before);
                before.add(visit.id());
            }
        }

        private void time(String field, Instant at) {
            if (at.isBefore(FIRST) || at.isAfter(latest)) {
                faults.add(new FieldFault(field, "allowed: a time since 2000, not after now"));
            }
        }

        private void region(String field, String region) {
            if (!catalogue.routines().containsKey(region)) {
                faults.add(new FieldFault(
                        field,
                        "'" + region + "' is not examined here; allowed: "
                                + String.join(", ", catalogue.routines().keySet())));
            }
        }

        private void complaint(String field, CaseDocument.ComplaintPart complaint) {
            region(field + "region", complaint.region());
            time(field + "openedAt", complaint.openedAt());
            for (int i = 0; i < complaint.results().size(); i++) {
                CaseDocument.ResultPart result = complaint.results().get(i);
                String place = field + "results[" + i + "].";
                time(place + "at", result.at());
                if (catalogue.conditions().keySet().stream()
                        .noneMatch(known -> known.value().equals(result.conditionId()))) {
                    faults.add(new FieldFault(
                            place + "conditionId",
                            "'" + result.conditionId() + "' is not known here; allowed: a condition of the library"));
                }
                if (result.withdrawn() != null) {
                    time(place + "withdrawn.at", result.withdrawn().at());
                }
            }
        }

        private void visit(
                String field, CaseDocument.VisitPart visit, CaseDocument.ComplaintPart complaint, Set<UUID> before) {
            region(field + "region", visit.region());
            time(field + "startedAt", visit.startedAt());
            if (complaint == null || !complaint.region().equals(visit.region())) {
                faults.add(new FieldFault(field + "complaint", "allowed: the id of a complaint of the same region"));
            }
            if (visit.follows() != null && !before.contains(visit.follows())) {
                faults.add(new FieldFault(field + "follows", "allowed: the id of an earlier visit"));
            }
            if (before.contains(visit.id())) {
                faults.add(new FieldFault(field + "id", "stands twice; allowed: an id of its own"));
            }
            Set<UUID> undoable = new HashSet<>();
            Set<UUID> replaceable = new HashSet<>();
            for (int i = 0; i < visit.entries().size() && faults.size() < MOST_FAULTS; i++) {
                CaseDocument.EntryPart entry = visit.entries().get(i);
                String place = field + "entries[" + i + "].";
                time(place + "receivedAt", entry.receivedAt());
                command(place + "command.", entry.command(), i + 1, undoable, replaceable);
            }
            for (int i = 0; i < visit.takeovers().size(); i++) {
                time(field + "takeovers[" + i + "].at", visit.takeovers().get(i).at());
            }
            for (int i = 0; i < visit.evidence().size(); i++) {
                time(field + "evidence[" + i + "].at", visit.evidence().get(i).at());
            }
            versions(field, visit);
        }

        private void command(String field, CommandJson command, int number, Set<UUID> undoable, Set<UUID> replaceable) {
            time(field + "at", command.at());
            if (command.number() == null || command.number() != number) {
                faults.add(new FieldFault(field + "number", "allowed: " + number + ", by its place"));
            }
            if (command.author() == null || command.author().isBlank()) {
                faults.add(new FieldFault(field + "author", "allowed: a sign-in name"));
            }
            if (!commands.add(command.id())) {
                faults.add(new FieldFault(field + "id", "stands twice; allowed: an id of its own"));
            }
            test(field + "standAt", command.standAt());
            if (command.kind() == CommandKind.UNDO ? !undoable.contains(command.undoes()) : command.undoes() != null) {
                faults.add(new FieldFault(
                        field + "undoes", "allowed: the id of an earlier command of this visit, with UNDO only"));
            }
            undoable.add(command.id());
            for (int i = 0; i < command.attempts().size(); i++) {
                AttemptJson attempt = command.attempts().get(i);
                String place = field + "attempts[" + i + "].";
                test(place + "testId", attempt.testId());
                if (!attempts.add(attempt.id())) {
                    faults.add(new FieldFault(place + "id", "stands twice; allowed: an id of its own"));
                }
                if (!replaceable.containsAll(attempt.supersedes())) {
                    faults.add(new FieldFault(place + "supersedes", "allowed: earlier attempts of this visit"));
                }
                for (int part = 0; part < attempt.parts().size(); part++) {
                    if (!attempt.parts().get(part).oneValue()) {
                        faults.add(new FieldFault(
                                place + "parts[" + part + "]",
                                "allowed: exactly one of choice, measure with unit, and text"));
                    }
                }
            }
            command.attempts().forEach(attempt -> replaceable.add(attempt.id()));
        }

        private void test(String field, String id) {
            if (!CommandCheck.readable(catalogue, id)) {
                faults.add(new FieldFault(field, CommandCheck.unknownTest(catalogue, id)));
            }
        }

        /** Every version is signed once, and opened again before the next is. */
        private void versions(String field, CaseDocument.VisitPart visit) {
            int signed = visit.signatures().size();
            int opened = visit.amendments().size();
            if (opened != signed && opened != signed - 1 && signed + opened > 0) {
                faults.add(new FieldFault(
                        field + "amendments",
                        "allowed: one between each signature and the next, and one after the last"));
            }
            long last = 0;
            for (int i = 0; i < signed; i++) {
                CaseDocument.SignaturePart each = visit.signatures().get(i);
                String place = field + "signatures[" + i + "].";
                time(place + "at", each.at());
                if (each.last() < last || each.last() > visit.last()) {
                    faults.add(new FieldFault(place + "last", "allowed: " + last + " to " + visit.last()));
                }
                last = each.last();
            }
            for (int i = 0; i < opened; i++) {
                time(
                        field + "amendments[" + i + "].at",
                        visit.amendments().get(i).at());
                if (visit.amendments().get(i).version() != i + 2) {
                    faults.add(new FieldFault(field + "amendments[" + i + "].version", "allowed: " + (i + 2)));
                }
            }
        }
    }
}
