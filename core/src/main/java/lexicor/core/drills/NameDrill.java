package lexicor.core.drills;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.practice.PracticeGround;

/** Name a test from its figure, or find the figure of a name. */
final class NameDrill implements DrillType {

    private static final int CHOICES = 4;

    private final Catalogue catalogue;

    NameDrill(PracticeGround ground) {
        this.catalogue = ground.catalogue();
    }

    @Override
    public List<String> about(String region) {
        List<String> drawn =
                drawn(region).stream().map(test -> test.id().value()).toList();
        return drawn.size() < CHOICES ? List.of() : drawn;
    }

    /** Tests with a figure; of those drawn alike only the first, since a figure could not tell them apart. */
    private List<ExaminationTest> drawn(String region) {
        List<ExaminationTest> drawn = new ArrayList<>();
        for (TestId id : DrillType.tests(catalogue, region)) {
            ExaminationTest test = catalogue.test(id);
            boolean hasFigure = test.pose().isPresent() || test.hand().isPresent();
            boolean alike = drawn.stream()
                    .anyMatch(other ->
                            other.pose().equals(test.pose()) && other.hand().equals(test.hand()));
            if (hasFigure && !alike) {
                drawn.add(test);
            }
        }
        return drawn;
    }

    @Override
    public Made made(Drill.Item item, long seed, RandomGenerator random) {
        ExaminationTest test = catalogue.test(TestId.of(item.about()));
        boolean byFigure = random.nextInt(2) == 0;
        List<ExaminationTest> choices = new ArrayList<>(DrillType.shuffled(drawn(item.region()), random).stream()
                .filter(other -> !other.id().equals(test.id()))
                .limit(CHOICES - 1)
                .toList());
        choices.add(test);
        Drill drill = new Drill(
                item,
                seed,
                byFigure ? "Which test is this?" : "Which figure shows it?",
                byFigure ? List.of() : List.of(test.name()),
                byFigure ? Optional.of(test.id().value()) : Optional.empty(),
                DrillType.shuffled(choices, random).stream()
                        .map(each -> new Drill.Option(each.id().value(), each.name(), !byFigure))
                        .toList(),
                OptionalDouble.empty());
        return new Made(
                drill,
                answer -> new Drill.Marked(
                        answer.values().equals(List.of(item.about())),
                        List.of(item.about()),
                        OptionalDouble.empty(),
                        List.of(
                                test.name()
                                        + (test.aliases().isEmpty()
                                                ? "."
                                                : ", also called " + String.join(", ", test.aliases()) + "."),
                                test.card().movement() + ".")));
    }
}
