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
import lexicor.server.examinations.StartRequest;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Fills an empty record with the demo cases; a record that holds them already is left alone. */
@Component
@ConditionalOnProperty(name = "lexicor.demo", havingValue = "true")
class DemoClinic implements ApplicationRunner {

    private static final String CASES = "/demo/clinic.yaml";

    private final ExaminationService examinations;
    private final Catalogue catalogue;

    DemoClinic(ExaminationService examinations, Catalogue catalogue) {
        this.examinations = examinations;
        this.catalogue = catalogue;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!examinations.isEmpty()) {
            return;
        }
        for (SourceNode node : SourceNode.parse("clinic.yaml", SourceNode.resourceText(CASES)).items()) {
            replay(node.allowing("case", "age", "occupation", "side", "setting", "begins", "steps"));
        }
    }

    private void replay(SourceNode node) {
        UUID id = UUID.nameUUIDFromBytes(("demo " + node.text("case")).getBytes(StandardCharsets.UTF_8));
        Instant begins = Instant.parse(node.text("begins"));
        Side side = node.oneOf("side", Side.class);
        examinations.start(new StartRequest(id, node.text("case"), node.whole("age", 0, 120), node.text("occupation"), "shoulder", side,
                node.oneOf("setting", Setting.class)), begins);
        DemoScript script = new DemoScript(catalogue, catalogue.routine("shoulder"), side, begins, id);
        examinations.add(id, List.copyOf(script.commands(node.list("steps"))));
    }
}
