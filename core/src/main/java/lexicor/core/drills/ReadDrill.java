package lexicor.core.drills;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.CueCard;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.lookup.Phrase;
import lexicor.core.practice.PracticeGround;
import lexicor.core.practice.ResponseWords;
import lexicor.core.simulation.ResponseBook;

/** Read a response. */
final class ReadDrill implements DrillType {

    private static final Map<String, Reading.Result> RESULTS = results();

    private final PracticeGround ground;
    private final Catalogue catalogue;

    ReadDrill(PracticeGround ground) {
        this.ground = ground;
        this.catalogue = ground.catalogue();
    }

    private static Map<String, Reading.Result> results() {
        Map<String, Reading.Result> results = new LinkedHashMap<>();
        results.put("positive", Reading.Result.POSITIVE);
        results.put("negative", Reading.Result.NEGATIVE);
        results.put("not-interpretable", Reading.Result.NOT_INTERPRETABLE);
        return results;
    }

    @Override
    public List<String> about(String region) {
        return DrillType.tests(catalogue, region).stream()
                .map(catalogue::test)
                .flatMap(test -> test.reads().stream()
                        .filter(reads ->
                                catalogue.condition(reads.condition()).region().equals(region))
                        .map(reads -> test.id() + ":" + reads.condition()))
                .toList();
    }

    @Override
    public Made made(Drill.Item item, long seed, RandomGenerator random) {
        ExaminationTest test = catalogue.test(TestId.of(item.ids().get(0)));
        ConditionId condition = ConditionId.of(item.ids().get(1));
        ConditionReading reads = test.readingFor(condition).orElseThrow();
        CriterionId criterion = reads.by(catalogue.usualSchools()).get(0);
        ResponseBook book = ground.responses(test.id());
        ResponseBook.Response response = response(test, condition, criterion, book, random);
        Reading reading = book.reading(response, condition, criterion);
        String name = catalogue.condition(condition).name();
        Drill drill = new Drill(
                item,
                seed,
                "What does this say of " + Phrase.within(name) + "?",
                Stream.concat(
                                Stream.of(test.name()),
                                new ResponseWords(ground)
                                        .lines(test, response.here()).stream()
                                                .map(line -> line.label() + ": "
                                                        + (line.said() ? "“" + line.words() + "”" : line.words())))
                        .toList(),
                Optional.of(test.id().value()),
                List.of(
                        new Drill.Option("positive", "Positive", false),
                        new Drill.Option("negative", "Negative", false),
                        new Drill.Option("not-interpretable", "Not interpretable", false)),
                OptionalDouble.empty());
        return new Made(drill, answer -> {
            String should = RESULTS.entrySet().stream()
                    .filter(each -> each.getValue() == reading.result())
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse("not-interpretable");
            return new Drill.Marked(
                    answer.values().equals(List.of(should)),
                    List.of(should),
                    OptionalDouble.empty(),
                    List.of(Phrase.first(reading.phrase()) + "."));
        });
    }

    /** A response of one of the three kinds, as far as the test has one of it. */
    private static ResponseBook.Response response(
            ExaminationTest test,
            ConditionId condition,
            CriterionId criterion,
            ResponseBook book,
            RandomGenerator random) {
        int kind = random.nextInt(3);
        List<ResponseBook.Response> fitting =
                book.responses(Set.of(new ResponseBook.Wanted(condition, criterion, kind == 0)));
        ResponseBook.Response response = fitting.get(random.nextInt(fitting.size()));
        List<CueCard.Watch> watch = test.card().watch();
        if (kind < 2 || watch.isEmpty()) {
            return response;
        }
        List<Part> here = new ArrayList<>(response.here());
        here.add(new Part.Chosen(
                PartDefinition.QUALITY, watch.get(random.nextInt(watch.size())).value(), Part.Context.PLAIN));
        return new ResponseBook.Response(here, response.well(), response.missed());
    }
}
