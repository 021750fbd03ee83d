package lexicor.core.tracking;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.UnaryOperator;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.TestId;
import lexicor.core.intake.IntakeForm;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;

/** Measurement noise of everything that is measured again: working estimates until the clinic has its own. */
public final class NoiseTable {

    static final String FILE = "noise.yaml";
    private static final double MOST_AMOUNT = 1000;
    private static final double LEAST_A_DAY = 0.01;

    private final List<Noise> entries;

    private NoiseTable(List<Noise> entries) {
        this.entries = List.copyOf(entries);
    }

    public static NoiseTable shipped(Catalogue catalogue, IntakeForm form) {
        return read(catalogue, form, SourceNode.resourceText("/lexicor/catalogue/" + FILE));
    }

    /** A table from other text, or {@link SourceException} with file and line. */
    public static NoiseTable read(Catalogue catalogue, IntakeForm form, String text) {
        List<Noise> entries = new ArrayList<>();
        for (SourceNode node : SourceNode.parse(FILE, text).items()) {
            Noise noise = noise(node, catalogue, form);
            if (entries.stream().anyMatch(known -> known.id().equals(noise.id()))) {
                throw node.fault("noise '" + noise.id() + "' stands here twice");
            }
            requireOnce(node, noise, entries, catalogue);
            entries.add(noise);
        }
        return new NoiseTable(entries);
    }

    private static Noise noise(SourceNode node, Catalogue catalogue, IntakeForm form) {
        node.allowing("noise", "label", "amount", "unit", "share", "better", "usual-a-day", "of");
        double amount = node.has("amount") ? node.number("amount", 0, MOST_AMOUNT) : 0;
        double share = node.has("share") ? node.number("share", 0, 100) : 0;
        if (amount == 0 && share == 0) {
            throw node.fault("noise '" + node.text("noise")
                    + "' has no figure; allowed: an amount, a share in percent, or both");
        }
        List<Noise.Taken> taken = new ArrayList<>();
        for (SourceNode each : node.list("of")) {
            each.allowing("tests", "parts", "questions");
            Set<TestId> tests = new LinkedHashSet<>();
            each.list("tests").forEach(test -> tests.add(known(test, catalogue)));
            Set<String> parts = new LinkedHashSet<>();
            each.list("parts").forEach(part -> parts.add(measured(part, tests, catalogue)));
            each.list("questions").stream()
                    .filter(question -> form.questions().stream()
                            .noneMatch(asked -> asked.id().equals(question.asText())
                                    && asked.scale().isPresent()))
                    .findFirst()
                    .ifPresent(question -> {
                        throw question.fault("'" + question.asText() + "' is no scale of the intake");
                    });
            taken.add(new Noise.Taken(tests, parts, Set.copyOf(each.texts("questions"))));
        }
        return new Noise(
                node.text("noise"),
                node.text("label"),
                amount,
                node.text("unit", ""),
                share,
                node.oneOf("better", Noise.Better.class),
                node.has("usual-a-day")
                        ? OptionalDouble.of(node.number("usual-a-day", LEAST_A_DAY, MOST_AMOUNT))
                        : OptionalDouble.empty(),
                taken);
    }

    private static TestId known(SourceNode node, Catalogue catalogue) {
        return catalogue.tests().keySet().stream()
                .filter(test -> test.value().equals(node.asText()))
                .findFirst()
                .orElseThrow(() -> node.fault("test '" + node.asText() + "' is not in the catalogue"));
    }

    private static String measured(SourceNode node, Set<TestId> tests, Catalogue catalogue) {
        boolean everywhere = tests.isEmpty()
                ? catalogue.tests().values().stream().anyMatch(test -> measures(test, node.asText()))
                : tests.stream().allMatch(test -> measures(catalogue.test(test), node.asText()));
        if (!everywhere) {
            throw node.fault(
                    "'" + node.asText() + "' is not measured there; allowed: a measured part of every test named");
        }
        return node.asText();
    }

    private static boolean measures(ExaminationTest test, String part) {
        return test.parts().stream()
                .anyMatch(each ->
                        each instanceof PartDefinition.Measure && each.key().equals(part));
    }

    /** One measure has one noise. */
    private static void requireOnce(SourceNode node, Noise noise, List<Noise> earlier, Catalogue catalogue) {
        for (ExaminationTest test : catalogue.tests().values()) {
            for (PartDefinition part : test.parts()) {
                earlier.stream()
                        .filter(other -> noise.of(test.id(), part.key()) && other.of(test.id(), part.key()))
                        .findFirst()
                        .ifPresent(other -> {
                            throw node.fault("'" + part.key() + "' of "
                                    + test.id().value() + " has the noise '" + other.id() + "' already");
                        });
            }
        }
    }

    public List<Noise> entries() {
        return entries;
    }

    /** The noise of a measure; empty where none is known. */
    public Optional<Noise> of(TestId test, String part) {
        return entries.stream().filter(noise -> noise.of(test, part)).findFirst();
    }

    /** The noise of a scale of the intake; empty where none is known. */
    public Optional<Noise> of(String question) {
        return entries.stream().filter(noise -> noise.of(question)).findFirst();
    }

    /** The same table with every entry changed. */
    public NoiseTable with(UnaryOperator<Noise> change) {
        return new NoiseTable(entries.stream().map(change).toList());
    }
}
