package lexicor.core.catalogue;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Says a rule of a test in plain words, so that a clinician can check it without reading the content files. */
public final class RuleWords {

    private final ExaminationTest test;
    private final List<Schools.Question> schools;

    public RuleWords(ExaminationTest test, List<Schools.Question> schools) {
        this.test = test;
        this.schools = schools;
    }

    /** The rule in words, without a full stop. */
    public String say(Rule rule) {
        return say(rule, false);
    }

    /** What a criterion counts, with nothing recorded yet: measures are left open, and answers are said by the rule. */
    public String counts(Criterion criterion) {
        return open(criterion.counts(), criterion.positive());
    }

    /** What clears a criterion, with nothing recorded yet. */
    public String clear(Criterion criterion) {
        return open(criterion.clear(), criterion.negative());
    }

    private String open(String phrase, Rule rule) {
        String open = phrase;
        for (PartDefinition part : test.parts()) {
            Pattern place = Pattern.compile("\\{" + part.key() + "(?:@[a-z0-9-]+)?}");
            if (part instanceof PartDefinition.Choice && place.matcher(open).find()) {
                return say(rule);
            }
            open = place.matcher(open)
                    .replaceAll(Matcher.quoteReplacement(
                            "so many" + (unit(part.key()).equals("°") ? " degrees" : unit(part.key()))));
        }
        return open;
    }

    private String say(Rule rule, boolean within) {
        if (rule instanceof Rule.All all) {
            return joined(all.rules(), " and ", within);
        }
        if (rule instanceof Rule.Any any) {
            return joined(any.rules(), " or ", within);
        }
        if (rule instanceof Rule.Not not) {
            return "not: " + say(not.rule(), true);
        }
        if (rule instanceof Rule.AtContext at) {
            return "in " + at.position().replace('-', ' ') + " " + say(at.rule(), true);
        }
        if (rule instanceof Rule.In in) {
            boolean present = in.values().contains("yes");
            String named = in.values().stream()
                    .filter(value -> !value.equals("yes"))
                    .map(value -> "“" + option(in.part(), value) + "”")
                    .sorted()
                    .collect(Collectors.joining(" or "));
            return other(in.side()) + label(in.part()) + (named.isEmpty() ? "" : (present ? " or " : " ") + named);
        }
        if (rule instanceof Rule.Recorded recorded) {
            return other(recorded.side()) + label(recorded.part()) + " recorded";
        }
        if (rule instanceof Rule.Window window) {
            return other(window.side()) + label(window.part()) + " " + number(window.from()) + " to "
                    + number(window.to()) + unit(window.part());
        }
        if (rule instanceof Rule.SideDifference difference) {
            return sides(difference);
        }
        if (rule instanceof Rule.Share share) {
            return label(share.part()) + " " + number(share.from()) + " to " + number(share.to()) + " % of "
                    + label(share.of()).toLowerCase(Locale.ROOT);
        }
        if (rule instanceof Rule.Repeated repeated) {
            return label(repeated.part()) + " " + repeated.change().name().toLowerCase(Locale.ROOT) + " by "
                    + number(repeated.by()) + " the second time";
        }
        Rule.School school = (Rule.School) rule;
        return schools.stream()
                .filter(question -> question.id().equals(school.question()))
                .flatMap(question -> question.choice(school.choice()).stream())
                .map(choice -> "the school is “" + choice.label() + "”")
                .findFirst()
                .orElse(school.choice());
    }

    private String sides(Rule.SideDifference difference) {
        String part = label(difference.part());
        if (difference.compared() == Rule.Compared.SHARE) {
            return part + " " + number(difference.from()) + " to " + number(difference.to()) + " % of the other side";
        }
        PartDefinition.Measure measure =
                (PartDefinition.Measure) test.part(difference.part()).orElseThrow();
        double span = measure.most() - measure.least();
        if (difference.to() >= span || difference.to() >= measure.most()) {
            return part + " at least " + number(difference.from()) + unit(difference.part()) + " beyond the other side";
        }
        if (difference.from() <= -span) {
            return difference.to() < 0
                    ? part + " at least " + number(-difference.to()) + unit(difference.part())
                            + " short of the other side"
                    : part + " no more than " + number(difference.to()) + unit(difference.part())
                            + " beyond the other side";
        }
        return part + " " + number(difference.from()) + " to " + number(difference.to()) + unit(difference.part())
                + " beyond the other side";
    }

    private String joined(List<Rule> rules, String word, boolean within) {
        String joined = rules.stream().map(rule -> say(rule, rules.size() > 1)).collect(Collectors.joining(word));
        return within && rules.size() > 1 ? "(" + joined + ")" : joined;
    }

    private static String other(Answers.Asked side) {
        return side == Answers.Asked.OTHER ? "on the other side " : "";
    }

    private String label(String part) {
        return test.part(part).map(PartDefinition::label).orElse(part);
    }

    private String option(String part, String value) {
        return test.part(part)
                .filter(PartDefinition.Choice.class::isInstance)
                .map(PartDefinition.Choice.class::cast)
                .flatMap(choice -> choice.option(value))
                .map(PartDefinition.Option::label)
                .orElse(value);
    }

    private String unit(String part) {
        String unit = test.part(part)
                .filter(PartDefinition.Measure.class::isInstance)
                .map(PartDefinition.Measure.class::cast)
                .map(PartDefinition.Measure::unit)
                .orElse("");
        return unit.equals("°") ? "°" : " " + unit;
    }

    private static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
