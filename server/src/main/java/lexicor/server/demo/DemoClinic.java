package lexicor.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.examination.Side;
import lexicor.core.outcomes.ReferenceResult;
import lexicor.core.source.SourceNode;
import lexicor.server.accounts.DemoPeople;
import lexicor.server.audit.CurrentUser;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseDetails;
import lexicor.server.cases.CaseService;
import lexicor.server.cases.Dominance;
import lexicor.server.examinations.outcomes.Outcomes;
import lexicor.server.examinations.outcomes.ResultsJson;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.CommandRecorder;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.VisitRequest;
import lexicor.server.examinations.record.Visits;
import lexicor.server.examinations.signing.Signing;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fills a record with the demo cases before the first request is answered. Each is brought in whole or not at all;
 * those that are there already are left alone, and so is a case of one's own that has the code of one of them.
 */
@Component
@ConditionalOnProperty(name = "lexicor.demo", havingValue = "true")
class DemoClinic implements SmartInitializingSingleton {

    private static final String CASES = "/demo/clinic.yaml";

    private static final int EARLIEST = 1900;
    private static final int LATEST = 2100;

    private final DemoPeople people;
    private final CaseService cases;
    private final TransactionTemplate transaction;
    private final Visits visits;
    private final ExaminationRecords examinations;
    private final CommandRecorder recorder;
    private final Signing signing;
    private final Outcomes outcomes;
    private final Catalogue catalogue;

    DemoClinic(
            DemoPeople people,
            CaseService cases,
            PlatformTransactionManager transactions,
            Visits visits,
            ExaminationRecords examinations,
            CommandRecorder recorder,
            Signing signing,
            Outcomes outcomes,
            Catalogue catalogue) {
        this.cases = cases;
        this.transaction = new TransactionTemplate(transactions);
        this.recorder = recorder;
        this.signing = signing;
        this.outcomes = outcomes;
        this.people = people;
        this.visits = visits;
        this.examinations = examinations;
        this.catalogue = catalogue;
    }

    @Override
    public void afterSingletonsInstantiated() {
        people.begin();
        for (SourceNode node :
                SourceNode.parse("clinic.yaml", SourceNode.resourceText(CASES)).items()) {
            node.allowing(
                    "case",
                    "born",
                    "hand",
                    "occupation",
                    "region",
                    "side",
                    "worse",
                    "setting",
                    "begins",
                    "steps",
                    "signed",
                    "amended",
                    "again",
                    "second",
                    "results");
            if (cases.isFree(node.text("case"))) {
                CurrentUser.being(people.therapist(), () -> transaction.execute(status -> replay(node)));
            }
        }
    }

    private UUID replay(SourceNode node) {
        UUID id = id("demo ", node);
        Instant begins = Instant.parse(node.text("begins"));
        Side side = side(node);
        String region = region(node);
        Dominance hand = node.has("hand") ? node.oneOf("hand", Dominance.class) : null;
        CaseDetails details =
                new CaseDetails(null, node.whole("born", EARLIEST, LATEST), hand, node.text("occupation"));
        visits.open(
                new VisitRequest.NewCase(id("case ", node), node.text("case"), details, request(id, node, null)),
                begins);
        examine(id, node, region, side, begins);
        node.optionalChild("second").ifPresent(second -> {
            second.allowing("begins", "steps", "signed");
            Instant at = Instant.parse(second.text("begins"));
            UUID other = id("second ", node);
            CurrentUser.being(people.secondTherapist(), () -> {
                visits.begin(id("case ", node), request(other, node, null), at);
                examine(other, second, region, side, at);
                return other;
            });
        });
        UUID before = id;
        for (SourceNode again : node.list("again")) {
            again.allowing("begins", "steps", "signed");
            Instant later = Instant.parse(again.text("begins"));
            UUID next = UUID.nameUUIDFromBytes(("again " + node.text("case") + later).getBytes(StandardCharsets.UTF_8));
            visits.begin(id("case ", node), request(next, node, before), later);
            examine(next, again, region, side, later);
            before = next;
        }
        node.list("results").forEach(result -> turnedOut(id("case ", node), result));
        return id;
    }

    /** Enters what turned out of the complaint of a case. */
    private void turnedOut(UUID caseId, SourceNode result) {
        result.allowing("condition", "truth", "kind", "day", "reader", "read-by", "words");
        outcomes.add(
                caseId,
                cases.episodes(caseId).get(0).getId(),
                new ResultsJson.Add(
                        UUID.nameUUIDFromBytes(
                                ("result " + caseId + result.text("condition")).getBytes(StandardCharsets.UTF_8)),
                        result.text("condition"),
                        result.oneOf("truth", ReferenceResult.Truth.class),
                        result.oneOf("kind", ReferenceResult.Kind.class),
                        LocalDate.parse(result.text("day")),
                        result.oneOf("reader", ReferenceResult.Reader.class),
                        result.text("read-by", ""),
                        result.text("words", "")));
    }

    /** A visit of a case; {@code follows} is null where it follows none. */
    private static VisitRequest request(UUID id, SourceNode node, UUID follows) {
        Affected affected = node.oneOf("side", Affected.class);
        return new VisitRequest(
                id,
                region(node),
                affected,
                affected == Affected.BOTH ? side(node) : null,
                node.oneOf("setting", CareSetting.class),
                follows);
    }

    private static String region(SourceNode node) {
        return node.text("region", "shoulder");
    }

    private static Side side(SourceNode node) {
        Affected affected = node.oneOf("side", Affected.class);
        return affected == Affected.BOTH ? node.oneOf("worse", Side.class) : Side.valueOf(affected.name());
    }

    /** Records a visit, and signs and amends it where it was. */
    private void examine(UUID id, SourceNode node, String region, Side side, Instant begins) {
        DemoScript script = new DemoScript(
                catalogue,
                catalogue.routine(region),
                side,
                begins,
                UUID.nameUUIDFromBytes(("client " + id).getBytes(StandardCharsets.UTF_8)));
        add(id, script.commands(node.list("steps")));
        node.optionalChild("signed").ifPresent(at -> sign(id, at));
        node.optionalChild("amended").ifPresent(amended -> {
            amended.allowing("at", "reason", "steps", "signed");
            Instant at = Instant.parse(amended.text("at"));
            signing.amend(id, amended.text("reason"), at);
            add(id, script.later(at, amended.list("steps")));
            amended.optionalChild("signed").ifPresent(again -> sign(id, again));
        });
    }

    private void add(UUID id, List<CommandJson> commands) {
        if (!commands.isEmpty()) {
            recorder.add(
                    id,
                    List.copyOf(commands),
                    null,
                    commands.get(commands.size() - 1).at());
        }
    }

    private void sign(UUID id, SourceNode at) {
        signing.sign(id, examinations.lastNumber(id), Instant.parse(at.asText()));
    }

    private static UUID id(String kind, SourceNode node) {
        return UUID.nameUUIDFromBytes((kind + node.text("case")).getBytes(StandardCharsets.UTF_8));
    }
}
