package lexicor.core.catalogue;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lexicor.core.source.SourceNode;

/** Reads rules, gates and phrases of one test and refuses parts and answers that the test does not record. */
final class RuleReader {

    private static final Pattern NAMED_PART = Pattern.compile("\\{([a-z0-9-]+)}");

    private final List<PartDefinition> parts;

    RuleReader(List<PartDefinition> parts) {
        this.parts = parts;
    }

    Rule rule(SourceNode node) {
        Map<String, SourceNode> fields = node.fields();
        if (fields.size() != 1) {
            throw node.fault("a rule is one of: all, any, not, is, in, window");
        }
        SourceNode body = fields.values().iterator().next();
        return switch (fields.keySet().iterator().next()) {
            case "all" -> new Rule.All(body.items().stream().map(this::rule).toList());
            case "any" -> new Rule.Any(body.items().stream().map(this::rule).toList());
            case "not" -> new Rule.Not(rule(body));
            case "is" -> is(body);
            case "in" -> in(body);
            case "window" -> window(body);
            default -> throw node.fault("'" + fields.keySet().iterator().next() + "' is not a rule; allowed: all, any, not, is, in, window");
        };
    }

    Gate gate(SourceNode node) {
        node.allowing("when", "voids", "because");
        return new Gate(rule(node.child("when")), node.oneOf("voids", Gate.Voids.class), phrase(node.child("because")));
    }

    /** A phrase whose named parts the test records. */
    String phrase(SourceNode node) {
        Matcher named = NAMED_PART.matcher(node.asText());
        while (named.find()) {
            part(node, named.group(1));
        }
        return node.asText();
    }

    /** An answer that the part allows. */
    String option(SourceNode node, String key) {
        PartDefinition part = part(node, key);
        if (!(part instanceof PartDefinition.Choice choice)) {
            throw node.fault("part '" + key + "' is measured; allowed here: a part with a list of answers");
        }
        if (choice.option(node.asText()).isEmpty()) {
            throw node.fault("'" + node.asText() + "' is not an answer for '" + key + "'; allowed: "
                    + String.join(", ", choice.options().stream().map(PartDefinition.Option::value).toList()));
        }
        return node.asText();
    }

    private Rule is(SourceNode body) {
        body.allowing("part", "value", "side");
        return new Rule.In(side(body), body.text("part"), Set.of(option(body.child("value"), body.text("part"))));
    }

    private Rule in(SourceNode body) {
        body.allowing("part", "values", "side");
        Set<String> values = new LinkedHashSet<>();
        body.list("values").forEach(value -> values.add(option(value, body.text("part"))));
        return new Rule.In(side(body), body.text("part"), values);
    }

    private Rule window(SourceNode body) {
        body.allowing("part", "from", "to", "side");
        if (!(part(body, body.text("part")) instanceof PartDefinition.Measure measure)) {
            throw body.fault("part '" + body.text("part") + "' is not measured; allowed: a part with a unit");
        }
        double from = body.number("from", measure.least(), measure.most());
        return new Rule.Window(side(body), measure.key(), from, body.number("to", from, measure.most()));
    }

    private static Answers.Asked side(SourceNode body) {
        return body.has("side") ? body.oneOf("side", Answers.Asked.class) : Answers.Asked.THIS;
    }

    private PartDefinition part(SourceNode node, String key) {
        return parts.stream().filter(part -> part.key().equals(key)).findFirst().orElseThrow(() -> node.fault("part '" + key
                + "' is not recorded by this test; allowed: " + String.join(", ", parts.stream().map(PartDefinition::key).toList())));
    }
}
