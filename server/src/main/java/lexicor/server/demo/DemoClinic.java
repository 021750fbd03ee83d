package lexicor.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Setting;
import lexicor.core.examination.Side;
import lexicor.core.source.SourceNode;
import lexicor.server.examinations.ExaminationService;
import lexicor.server.accounts.DemoPeople;
import lexicor.server.audit.Whoever;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseDetails;
import lexicor.server.cases.Dominance;
import lexicor.server.examinations.CommandJson;
import lexicor.server.examinations.VisitRequest;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Fills an empty record with the demo cases; a record that holds them already is left alone. */
@Component
@ConditionalOnProperty(name = "lexicor.demo", havingValue = "true")
class DemoClinic implements ApplicationRunner {

    private static final String CASES = "/demo/clinic.yaml";

    private static final int EARLIEST = 1900;
    private static final int LATEST = 2100;

    private final DemoPeople people;
    private final ExaminationService examinations;
    private final Catalogue catalogue;

    DemoClinic(DemoPeople people, ExaminationService examinations, Catalogue catalogue) {
        this.people = people;
        this.examinations = examinations;
        this.catalogue = catalogue;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        people.begin();
        if (!examinations.isEmpty()) {
            return;
        }
        for (SourceNode node : SourceNode.parse("clinic.yaml", SourceNode.resourceText(CASES)).items()) {
            Whoever.being(people.therapist(), () -> replay(node.allowing("case", "born", "hand", "occupation", "region", "side", "worse", "setting", "begins", "steps")));
        }
    }

    private UUID replay(SourceNode node) {
        UUID id = id("demo ", node);
        Instant begins = Instant.parse(node.text("begins"));
        Affected affected = node.oneOf("side", Affected.class);
        Side side = affected == Affected.BOTH ? node.oneOf("worse", Side.class) : Side.valueOf(affected.name());
        String region = node.text("region", "shoulder");
        Dominance hand = node.has("hand") ? node.oneOf("hand", Dominance.class) : null;
        CaseDetails details = new CaseDetails(null, node.whole("born", EARLIEST, LATEST), hand, node.text("occupation"));
        examinations.open(new VisitRequest.NewCase(id("case ", node), node.text("case"), details,
                new VisitRequest(id, region, affected, affected == Affected.BOTH ? side : null, node.oneOf("setting", Setting.class), null)), begins);
        DemoScript script = new DemoScript(catalogue, catalogue.routine(region), side, begins, id);
        List<CommandJson> commands = script.commands(node.list("steps"));
        if (!commands.isEmpty()) {
            examinations.add(id, List.copyOf(commands));
        }
        return id;
    }

    private static UUID id(String kind, SourceNode node) {
        return UUID.nameUUIDFromBytes((kind + node.text("case")).getBytes(StandardCharsets.UTF_8));
    }
}
