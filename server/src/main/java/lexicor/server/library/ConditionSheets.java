package lexicor.server.library;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.intake.IntakeForm;
import lexicor.core.nexttest.Separation;
import lexicor.core.story.StoryTable;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.settings.ClinicSettings;
import org.springframework.stereotype.Component;

/** Puts together what the sheet of a condition shows. */
@Component
class ConditionSheets {

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final TestSheets names;
    private final ClinicSettings settings;
    private final StoryTable story;

    ConditionSheets(
            Catalogue catalogue, LivingEvidence living, TestSheets names, ClinicSettings settings, IntakeForm form) {
        this.story = form.story();
        this.settings = settings;
        this.catalogue = catalogue;
        this.living = living;
        this.names = names;
    }

    ConditionSheetJson sheet(Condition condition) {
        Thresholds thresholds = settings.now().thresholds();
        Optional<Pattern> pattern = Optional.ofNullable(catalogue.patterns().get(condition.id()));
        List<ExaminationTest> speaking = catalogue.tests().values().stream()
                .filter(test -> test.readingFor(condition.id()).isPresent())
                .toList();
        return new ConditionSheetJson(
                condition.id().value(),
                condition.name(),
                condition.region(),
                condition.scope(),
                LibraryIndex.start(condition),
                condition.onlyIf().isEmpty()
                        ? null
                        : condition.onlyIf().stream()
                                .map(clue -> clue.label().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", or ")),
                condition.serious().orElse(null),
                new ConditionSheetJson.ThresholdsJson(
                        thresholds.setAside(), thresholds.test(), thresholds.act(), thresholds.serious()),
                catalogue.widerThan(condition.id()).stream().map(names::named).toList(),
                narrower(condition.id()),
                weights(condition.id(), speaking),
                speaking.stream()
                        .filter(test -> living.evidence()
                                .inUse(test.id(), condition.id())
                                .isEmpty())
                        .map(test -> new TestSheetJson.NoteJson(
                                test.id().value(),
                                test.name(),
                                living.evidence().whyNotWeighed(test.id(), condition.id())))
                        .toList(),
                findings(pattern.map(Pattern::expects)),
                findings(pattern.map(Pattern::against)),
                findings(pattern.map(Pattern::defining)),
                story.lines(condition.id()).stream()
                        .map(line -> new ConditionSheetJson.ClueJson(
                                line.label(),
                                line.when(),
                                line.reason(),
                                Double.isInfinite(line.logOdds()) ? null : line.logOdds()))
                        .toList(),
                pattern.map(Pattern::rivals).orElse(List.of()).stream()
                        .map(rival -> rival(condition.id(), rival))
                        .toList(),
                pattern.flatMap(known -> known.settles())
                        .map(settles -> new ConditionSheetJson.SettlesJson(settles.by(), settles.soon()))
                        .orElse(null),
                catalogue.clusters().stream()
                        .filter(cluster -> cluster.condition().equals(condition.id()))
                        .map(TestSheets::named)
                        .toList());
    }

    private List<TestSheetJson.NamedJson> narrower(ConditionId condition) {
        return catalogue.conditions().values().stream()
                .filter(other -> other.within().filter(condition::equals).isPresent())
                .map(other -> names.named(other.id()))
                .toList();
    }

    private List<ConditionSheetJson.WeightJson> weights(ConditionId condition, List<ExaminationTest> tests) {
        return tests.stream()
                .flatMap(test -> living.evidence().inUse(test.id(), condition).map(use -> weight(test, use)).stream())
                .sorted(Comparator.comparingDouble((ConditionSheetJson.WeightJson weight) -> Math.max(
                                Math.abs(Math.log(weight.lrPositive())), Math.abs(Math.log(weight.lrNegative()))))
                        .reversed())
                .toList();
    }

    private ConditionSheetJson.WeightJson weight(ExaminationTest test, EvidenceInUse use) {
        boolean worthless = Math.abs(use.belief().sensitivity() + use.belief().specificity() - 1)
                < WeighingSettings.USUAL.worthlessWithin();
        return new ConditionSheetJson.WeightJson(
                test.id().value(),
                test.name(),
                test.criterion(use.criterion()).map(names.words(test)::counts).orElseThrow(),
                use.record().id().value(),
                use.belief().likelihoodRatioPositive(),
                use.belief().likelihoodRatioNegative(),
                living.evidence().byInventors(use.record().id()),
                worthless);
    }

    private List<ConditionSheetJson.ExpectedJson> findings(Optional<List<Pattern.Expected>> findings) {
        return findings.orElse(List.of()).stream()
                .map(finding -> new ConditionSheetJson.ExpectedJson(
                        finding.test().value(),
                        catalogue.test(finding.test()).name(),
                        finding.positive(),
                        finding.says()))
                .toList();
    }

    private ConditionSheetJson.RivalJson rival(ConditionId condition, Pattern.Rival rival) {
        List<ConditionSheetJson.SeparationJson> measured =
                Separation.between(condition, rival.condition(), catalogue, living.evidence()).stream()
                        .map(separation -> new ConditionSheetJson.SeparationJson(
                                separation.test().value(),
                                catalogue.test(separation.test()).name(),
                                separation.decibans()))
                        .toList();
        return new ConditionSheetJson.RivalJson(
                rival.condition().value(),
                catalogue.condition(rival.condition()).name(),
                rival.how(),
                rival.tests().stream().map(names::named).toList(),
                measured);
    }
}
