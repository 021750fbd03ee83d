package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.draws.SingleEffect;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.Tie;
import lexicor.core.evidence.Weighable;
import lexicor.core.findings.WeighingSettings;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.load.InTurn;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.NotFound;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The sheets of tests, conditions and clusters. */
@RestController
@RequestMapping("/api/library")
class SheetController {

    private static final String PRIOR = "allowed: 0.001 to 0.999";
    private static final String PATIENTS = "allowed: 5 to 100000";
    private static final long SEED = 1;

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final TestSheets tests;
    private final ConditionSheets conditions;
    private final ClusterSheets clusters;
    private final CardReviews reviews;

    SheetController(
            Catalogue catalogue,
            LivingEvidence living,
            TestSheets tests,
            ConditionSheets conditions,
            ClusterSheets clusters,
            CardReviews reviews) {
        this.catalogue = catalogue;
        this.living = living;
        this.tests = tests;
        this.conditions = conditions;
        this.clusters = clusters;
        this.reviews = reviews;
    }

    @GetMapping("/tests/{id}")
    TestSheetJson test(@PathVariable String id) {
        return tests.sheet(knownTest(id));
    }

    /** Keeps that somebody has looked the card of a test through. */
    @PostMapping("/tests/{id}/review")
    @Traced(action = Action.CHANGED, subject = "card")
    ReviewedJson review(@PathVariable String id, @Valid @RequestBody CardReviewJson.CardReviewRequest request) {
        reviews.add(knownTest(id), request);
        return new ReviewedJson(id);
    }

    /** The test whose card was looked through. */
    @Schema(name = "CardReviewedJson")
    record ReviewedJson(String test) implements Traced.Known {
        @Override
        public String tracedId() {
            return test;
        }
    }

    @GetMapping("/conditions/{id}")
    ConditionSheetJson condition(@PathVariable String id) {
        return conditions.sheet(knownCondition(id)
                .orElseThrow(() -> new NotFound("There is no condition '" + id + "' in the library.")));
    }

    @GetMapping("/clusters/{id}")
    ClusterSheetJson cluster(@PathVariable String id) {
        Cluster cluster = catalogue.clusters().stream()
                .filter(known -> known.id().value().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no set of findings '" + id + "' in the library."));
        return clusters.sheet(cluster);
    }

    /**
     * What either answer does to a chance that somebody has chosen, as it is weighed or by one study of the same test.
     */
    @GetMapping("/tests/{id}/effect")
    EffectJson effect(
            @PathVariable String id,
            @RequestParam String condition,
            @RequestParam @DecimalMin(value = "0.001", message = PRIOR) @DecimalMax(value = "0.999", message = PRIOR)
                    double prior,
            @RequestParam(required = false) String record) {
        ExaminationTest test = knownTest(id);
        Condition about = knownCondition(condition)
                .orElseThrow(() -> new BadInput("condition", "'" + condition + "' is not in the library"));
        Belief belief = record == null
                ? inUse(test, about).belief()
                : chosen(test, about, record).belief();
        SingleEffect effect = SingleEffect.of(prior, belief, WeighingSettings.USUAL, SEED);
        return new EffectJson(
                record == null ? "" : record,
                prior,
                EffectJson.AnswerJson.of(effect.positive()),
                EffectJson.AnswerJson.of(effect.negative()));
    }

    /** What one more independent study would change of a test's figures, if it found what is expected. */
    @GetMapping("/tests/{id}/one-more")
    @InTurn(InTurn.Kind.LEDGER)
    TestSheetJson.OneMoreJson oneMore(
            @PathVariable String id,
            @RequestParam String condition,
            @RequestParam @Min(value = 5, message = PATIENTS) @Max(value = 100_000, message = PATIENTS) int patients) {
        ExaminationTest test = knownTest(id);
        Condition about = knownCondition(condition)
                .orElseThrow(() -> new BadInput("condition", "'" + condition + "' is not in the library"));
        return tests.oneMore(test.id(), about.id(), patients);
    }

    private EvidenceInUse inUse(ExaminationTest test, Condition condition) {
        return living.evidence()
                .inUse(test.id(), condition.id())
                .orElseThrow(() -> new BadInput(
                        "condition",
                        "is not weighed by this test: " + living.evidence().whyNotWeighed(test.id(), condition.id())));
    }

    private Weighable.Yes chosen(ExaminationTest test, Condition condition, String record) {
        AccuracyRecord known = living.evidence().records().stream()
                .filter(each -> each.id().value().equals(record))
                .findFirst()
                .orElseThrow(() -> new BadInput("record", "'" + record + "' is not in the ledger"));
        boolean about = living.evidence().tie(RecordId.of(record)) instanceof Tie.ToTest tie
                && tie.test().equals(test.id())
                && tie.condition().equals(condition.id());
        if (!about || !(Weighable.of(known) instanceof Weighable.Yes figures)) {
            throw new BadInput("record", "'" + record + "' cannot weigh this test for this condition");
        }
        return figures;
    }

    private ExaminationTest knownTest(String id) {
        return catalogue.tests().values().stream()
                .filter(test -> test.id().value().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no test '" + id + "' in the library."));
    }

    private Optional<Condition> knownCondition(String id) {
        return catalogue.conditions().values().stream()
                .filter(condition -> condition.id().value().equals(id))
                .findFirst();
    }
}
