package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lexicor.core.source.SourceNode;

/** Reads rules, gates and phrases of one test and refuses parts, answers, positions and schools that are not known. */
final class RuleReader {

    private static final Pattern NAMED_PART = Pattern.compile("\\{([a-z0-9-]+)(?:@([a-z0-9-]+))?}");
    private static final String VOCABULARY =
            "all, any, at-context, in, is, not, recorded, repeated, said, school, share, side-difference, window";

    private final List<PartDefinition> parts;
    private final SchoolReader schools;

    /** Position in which the rule at hand is asked; empty outside {@code at-context}. */
    private String position = "";

    RuleReader(List<PartDefinition> parts, SchoolReader schools) {
        this.parts = parts;
        this.schools = schools;
    }

    Rule rule(SourceNode node) {
        Map<String, SourceNode> fields = node.fields();
        if (fields.size() != 1) {
            throw node.fault("a rule is one of: " + VOCABULARY);
        }
        SourceNode body = fields.values().iterator().next();
        return switch (fields.keySet().iterator().next()) {
            case "all" -> new Rule.All(rules(body));
            case "any" -> new Rule.Any(rules(body));
            case "not" -> new Rule.Not(rule(body));
            case "is" -> is(body);
            case "in" -> in(body);
            case "recorded" -> recorded(body);
            case "said" -> said(body);
            case "window" -> window(body);
            case "at-context" -> atContext(body);
            case "side-difference" -> sideDifference(body);
            case "share" -> share(body);
            case "repeated" -> repeated(body);
            case "school" -> school(body);
            default ->
                throw node.fault("'" + fields.keySet().iterator().next() + "' is not a rule; allowed: " + VOCABULARY);
        };
    }

    private List<Rule> rules(SourceNode body) {
        List<Rule> rules = new ArrayList<>();
        body.items().forEach(item -> rules.add(rule(item)));
        if (rules.isEmpty()) {
            throw body.fault("a rule stands here without any rule within; allowed: at least one");
        }
        return rules;
    }

    Gate gate(SourceNode node) {
        node.allowing("when", "voids", "because");
        return new Gate(rule(node.child("when")), node.oneOf("voids", Gate.Voids.class), phrase(node.child("because")));
    }

    /** A phrase whose named parts the test records. */
    String phrase(SourceNode node) {
        Matcher named = NAMED_PART.matcher(node.asText());
        while (named.find()) {
            if (named.group(2) != null
                    ? !part(node, named.group(1)).taken().positions().contains(named.group(2))
                    : part(node, named.group(1)) == null) {
                throw node.fault("'" + named.group(1) + "' is not recorded at '" + named.group(2) + "'; allowed: "
                        + part(node, named.group(1)).taken().positions());
            }
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
                    + String.join(
                            ", ",
                            choice.options().stream()
                                    .map(PartDefinition.Option::value)
                                    .toList()));
        }
        return node.asText();
    }

    /** An answer to a part: an option of its list, or a number within its range. */
    String answer(SourceNode node, String key) {
        if (part(node, key) instanceof PartDefinition.Measure measure) {
            if (measure.byEye().stream().anyMatch(option -> option.value().equals(node.asText()))) {
                return node.asText();
            }
            node.asNumber("'" + key + "'", measure.least(), measure.most());
            return node.asText();
        }
        return option(node, key);
    }

    private Rule is(SourceNode body) {
        body.allowing("part", "value", "side");
        placed(body);
        return new Rule.In(side(body), body.text("part"), Set.of(option(body.child("value"), body.text("part"))));
    }

    private Rule in(SourceNode body) {
        body.allowing("part", "values", "side");
        placed(body);
        Set<String> values = new LinkedHashSet<>();
        body.list("values").forEach(value -> values.add(option(value, body.text("part"))));
        if (values.isEmpty()) {
            throw body.fault("field 'values' is empty; allowed: at least one answer");
        }
        return new Rule.In(side(body), body.text("part"), values);
    }

    /** One of these was answered; where nothing was, it was not. */
    private Rule said(SourceNode body) {
        Rule in = in(body);
        return new Rule.All(List.of(new Rule.Recorded(side(body), body.text("part")), in));
    }

    private Rule recorded(SourceNode body) {
        body.allowing("part", "side");
        placed(body);
        return new Rule.Recorded(side(body), body.text("part"));
    }

    private Rule window(SourceNode body) {
        body.allowing("part", "from", "to", "side");
        PartDefinition.Measure measure = measure(body);
        placed(body);
        double from = body.number("from", measure.least(), measure.most());
        return new Rule.Window(side(body), measure.key(), from, body.number("to", from, measure.most()));
    }

    private Rule atContext(SourceNode body) {
        body.allowing("position", "rule");
        String outer = position;
        position = body.text("position");
        if (parts.stream().noneMatch(part -> part.taken().positions().contains(position))) {
            throw body.child("position")
                    .fault("position '" + position + "' is not one that this test records in; allowed: "
                            + parts.stream()
                                    .flatMap(part -> part.taken().positions().stream())
                                    .distinct()
                                    .toList());
        }
        Rule rule = new Rule.AtContext(position, rule(body.child("rule")));
        position = outer;
        return rule;
    }

    private Rule sideDifference(SourceNode body) {
        body.allowing("part", "from", "to", "share-from", "share-to");
        PartDefinition.Measure measure = measure(body);
        placed(body);
        double span = measure.most() - measure.least();
        if (body.has("share-from") || body.has("share-to")) {
            double from = body.number("share-from", 0, 1000);
            return new Rule.SideDifference(
                    measure.key(), Rule.Compared.SHARE, from, body.number("share-to", from, 1000));
        }
        double from = body.number("from", -span, span);
        return new Rule.SideDifference(measure.key(), Rule.Compared.DIFFERENCE, from, body.number("to", from, span));
    }

    private Rule share(SourceNode body) {
        body.allowing("part", "of", "from", "to");
        placed(body);
        String whole = body.text("of");
        if (!(part(body.child("of"), whole) instanceof PartDefinition.Measure)) {
            throw body.child("of")
                    .fault("part '" + whole + "' has a list of answers; allowed here: a part that is measured");
        }
        double from = body.number("from", 0, 1000);
        return new Rule.Share(measure(body).key(), whole, from, body.number("to", from, 1000));
    }

    private Rule repeated(SourceNode body) {
        body.allowing("part", "change", "by");
        PartDefinition.Measure measure = measure(body);
        if (measure.taken().repeats() < 2) {
            throw body.fault("part '" + measure.key() + "' is taken once; allowed: a part with repeats of 2 or more");
        }
        return new Rule.Repeated(
                measure.key(),
                body.oneOf("change", Rule.Change.class),
                body.number("by", measure.step(), measure.most() - measure.least()));
    }

    private Rule school(SourceNode body) {
        body.allowing("question", "is");
        Conduct.SchoolChoice choice = schools.choice(body.child("question"), body.child("is"));
        return new Rule.School(choice.question(), choice.choice());
    }

    private static Answers.Asked side(SourceNode body) {
        return body.has("side") ? body.oneOf("side", Answers.Asked.class) : Answers.Asked.THIS;
    }

    private PartDefinition.Measure measure(SourceNode body) {
        if (!(part(body, body.text("part")) instanceof PartDefinition.Measure measure)) {
            throw body.fault("part '" + body.text("part") + "' is not measured; allowed: a part with a unit");
        }
        return measure;
    }

    /** A part taken in several positions has to be asked about in one of them, and only such a part can be. */
    private void placed(SourceNode body) {
        List<String> positions = part(body, body.text("part")).taken().positions();
        if (positions.isEmpty() ? !position.isEmpty() : !positions.contains(position)) {
            throw body.fault(
                    positions.isEmpty()
                            ? "part '" + body.text("part")
                                    + "' is not recorded by position; allowed: outside at-context"
                            : "part '" + body.text("part")
                                    + "' is recorded by position; allowed: within at-context, one of " + positions);
        }
    }

    private PartDefinition part(SourceNode node, String key) {
        return parts.stream()
                .filter(part -> part.key().equals(key))
                .findFirst()
                .orElseThrow(() -> node.fault("part '" + key + "' is not recorded by this test; allowed: "
                        + String.join(
                                ", ", parts.stream().map(PartDefinition::key).toList())));
    }
}
