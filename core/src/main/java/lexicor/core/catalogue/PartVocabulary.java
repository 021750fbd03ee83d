package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import lexicor.core.source.SourceNode;

/** The parts that responses are made of, shared by all tests so that the same thing always has the same name. */
final class PartVocabulary {

    private final Map<String, PartDefinition> parts = new LinkedHashMap<>();

    private PartVocabulary() {}

    static PartVocabulary read(SourceNode root) {
        PartVocabulary vocabulary = new PartVocabulary();
        for (SourceNode node : root.items()) {
            PartDefinition part = node.has("like") ? vocabulary.like(node) : vocabulary.part(node);
            if (vocabulary.parts.put(part.key(), part) != null) {
                throw node.fault("part '" + part.key() + "' stands here twice");
            }
        }
        return vocabulary;
    }

    /** A part that takes everything but its name and words, and what it is measured from, from an earlier one. */
    private PartDefinition like(SourceNode node) {
        node.allowing("part", "label", "like", "from");
        PartDefinition other = known(node.child("like"));
        if (other instanceof PartDefinition.Choice choice) {
            return new PartDefinition.Choice(
                    node.text("part"), node.text("label"), choice.many(), choice.options(), choice.taken());
        }
        PartDefinition.Measure measure = (PartDefinition.Measure) other;
        return copy(measure, node.text("part"), node.text("label"), measure.usual(), from(node), measure.taken());
    }

    /** Another measure of the same unit and range. */
    private static PartDefinition.Measure copy(
            PartDefinition.Measure of,
            String key,
            String label,
            OptionalDouble usual,
            List<String> from,
            PartDefinition.Taken taken) {
        return new PartDefinition.Measure(key, label, of.unit(), of.least(), of.most(), of.step(), usual, from, taken);
    }

    /** The parts that a measure is measured from, each a choice that stands above it. */
    private List<String> from(SourceNode node) {
        return node.list("from").stream()
                .map(key -> {
                    if (!(known(key) instanceof PartDefinition.Choice choice)) {
                        throw key.fault("'" + key.asText() + "' is a measure; allowed: a part with options");
                    }
                    return choice.key();
                })
                .toList();
    }

    private PartDefinition known(SourceNode key) {
        PartDefinition part = parts.get(key.asText());
        if (part == null) {
            throw key.fault("part '" + key.asText() + "' is not known; allowed: " + String.join(", ", parts.keySet()));
        }
        return part;
    }

    private PartDefinition part(SourceNode node) {
        String key = node.text("part");
        if (node.has("options")) {
            node.allowing("part", "label", "many", "options");
            return new PartDefinition.Choice(
                    key,
                    node.text("label"),
                    node.text("many", "no").equals("yes"),
                    options(node.list("options")),
                    PartDefinition.Taken.ONCE);
        }
        node.allowing("part", "label", "unit", "least", "most", "step", "from");
        double least = node.number("least", -1000, 1000);
        double most = node.number("most", least, 10_000);
        return new PartDefinition.Measure(
                key,
                node.text("label"),
                node.text("unit"),
                least,
                most,
                node.number("step", 0.01, most - least),
                OptionalDouble.empty(),
                from(node),
                PartDefinition.Taken.ONCE);
    }

    static List<PartDefinition.Option> options(List<SourceNode> nodes) {
        List<PartDefinition.Option> options = new ArrayList<>();
        for (SourceNode option : nodes) {
            option.allowing("is", "label");
            options.add(new PartDefinition.Option(option.text("is"), option.text("label")));
        }
        return options;
    }

    /** The part a test asks for, narrowed to the options it names. */
    PartDefinition asked(SourceNode node) {
        node.allowing("part", "options", "label", "positions", "repeats", "and-back", "usual", "more");
        PartDefinition part = known(node.child("part"));
        String label = node.text("label", part.label());
        PartDefinition.Taken taken = new PartDefinition.Taken(
                node.texts("positions"),
                node.has("repeats") ? node.whole("repeats", 1, 9) : 1,
                node.text("and-back", "no").equals("yes"),
                node.text("more", "no").equals("yes"));
        if (part instanceof PartDefinition.Choice choice) {
            List<PartDefinition.Option> options = choice.options();
            if (node.has("options")) {
                options = node.list("options").stream()
                        .map(option -> choice.option(option.asText())
                                .orElseThrow(() -> option.fault("'" + option.asText() + "' is not an answer for '"
                                        + choice.key() + "'; allowed: "
                                        + String.join(
                                                ", ",
                                                choice.options().stream()
                                                        .map(PartDefinition.Option::value)
                                                        .toList()))))
                        .toList();
            }
            return new PartDefinition.Choice(choice.key(), label, choice.many(), options, taken);
        }
        PartDefinition.Measure measure = (PartDefinition.Measure) part;
        OptionalDouble usual = node.has("usual")
                ? OptionalDouble.of(node.number("usual", measure.least(), measure.most()))
                : OptionalDouble.empty();
        return copy(measure, measure.key(), label, usual, measure.from(), taken);
    }
}
