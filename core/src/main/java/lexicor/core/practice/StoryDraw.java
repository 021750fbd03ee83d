package lexicor.core.practice;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.examination.Answer;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.Person;
import lexicor.core.story.HeardStory;
import lexicor.core.story.StoryTable;
import lexicor.core.story.Weeks;

/**
 * Draws what an invented patient tells. Each answer comes as readily as the catalogue's story says: an answer that
 * makes a condition so many times likelier is told so many times as readily by those who have it.
 */
final class StoryDraw {

    private static final String NO_TINGLING = "tingling-areas:" + IntakeForm.NONE;
    private static final int WORST_ABOVE_NOW = 4;
    private static final int MOST_PAIN_NOW = 6;
    private static final int SCALE = 10;

    /** Of an answer that would rule out what a condition needs, this share is left. */
    private static final double RULES_OUT = 0.02;

    private final IntakeForm form;
    private final PatientContent content;
    private final String region;
    private final Set<ConditionId> present;
    private final List<Pattern.Clue> needed;
    private final RandomGenerator random;
    private final int age;
    private final Person.Sex sex;
    private final Map<String, Boolean> clues = new LinkedHashMap<>();
    private final Set<String> holding = new LinkedHashSet<>();
    private final List<Answer> answers = new ArrayList<>();
    private Optional<Weeks> weeks = Optional.empty();

    /** @param needed clues of which the conditions of this patient need one, by definition */
    StoryDraw(
            PracticeGround ground,
            String region,
            Set<ConditionId> present,
            Person.Sex sex,
            int age,
            boolean leading,
            RandomGenerator random) {
        this.form = ground.form();
        this.content = ground.content();
        this.region = region;
        this.present = present;
        this.needed = present.stream()
                .flatMap(condition -> ground.catalogue().condition(condition).onlyIf().stream())
                .distinct()
                .toList();
        this.random = random;
        this.age = age;
        this.sex = sex;
        clues.put(sex == Person.Sex.WOMAN ? "person:woman" : "person:man", true);
        clues.put(leading ? "person:leading-side" : "person:non-leading-side", true);
    }

    /** The answers to all questions of the region, in their order. */
    List<Answer> answers() {
        zone();
        for (IntakeForm.Question question : form.questionsOf(region)) {
            if (!question.words() && makesSense(question.where())) {
                if (question.scale().isPresent()) {
                    scale(question);
                } else if (question.many()) {
                    several(question);
                } else {
                    one(question);
                }
            }
        }
        painted("pain").ifPresent(areas -> answers.add(Answer.of("pain-areas", areas.toArray(String[]::new))));
        answers.add(Answer.of("tingling-areas", tingling().toArray(String[]::new)));
        return answers;
    }

    /** How likely the story is with the patient's conditions, beside people without any: a product of odds ratios. */
    static double weight(StoryTable table, Collection<ConditionId> present, HeardStory heard) {
        double log = 0;
        for (ConditionId condition : present) {
            StoryTable.Effect effect = table.effect(condition, heard, clue -> true);
            if (!effect.out().isEmpty()) {
                return 0;
            }
            log += effect.shifts().stream()
                    .mapToDouble(StoryTable.Shift::logOdds)
                    .sum();
        }
        return Math.exp(log);
    }

    private double weight(Map<String, Boolean> told, Optional<Weeks> since) {
        return weight(
                form.story(),
                present,
                new HeardStory(told, Optional.of(new Pattern.Ages(Math.max(0, age - 1), age)), since));
    }

    /** The zone that holds most of what is there. */
    private void zone() {
        List<IntakeForm.Zone> zones = form.zonesOf(region).stream()
                .filter(zone -> zone.clue().isEmpty())
                .toList();
        long most = zones.stream().mapToLong(this::holds).max().orElse(0);
        List<IntakeForm.Zone> best =
                zones.stream().filter(zone -> holds(zone) == most).toList();
        answers.add(Answer.of("zone", best.get(random.nextInt(best.size())).id()));
    }

    private long holds(IntakeForm.Zone zone) {
        return present.stream().filter(zone.conditions()::contains).count();
    }

    private boolean makesSense(Map<String, List<String>> where) {
        return where.isEmpty()
                || where.entrySet().stream()
                        .anyMatch(each -> each.getValue().stream()
                                .anyMatch(value -> clues.getOrDefault(each.getKey() + ":" + value, false)));
    }

    private List<IntakeForm.Option> options(IntakeForm.Question question) {
        return question.options(region).stream()
                .filter(option -> makesSense(option.where())
                        && content.canTell(question.id() + ":" + option.value(), sex, age)
                        && option.notWith().entrySet().stream()
                                .allMatch(other -> other.getValue().stream()
                                        .noneMatch(value -> clues.getOrDefault(other.getKey() + ":" + value, false))))
                .toList();
    }

    private void scale(IntakeForm.Question question) {
        int now = 1 + random.nextInt(MOST_PAIN_NOW);
        int least = answers.stream()
                .filter(answer -> answer.question().startsWith("pain-"))
                .flatMapToInt(answer -> answer.number().stream().mapToInt(value -> (int) value))
                .max()
                .orElse(0);
        int value = least == 0 ? now : Math.min(SCALE, least + 1 + random.nextInt(WORST_ABOVE_NOW));
        IntakeForm.Scale scale = question.scale().orElseThrow();
        answers.add(Answer.number(question.id(), Math.max(scale.from(), Math.min(scale.to(), value))));
    }

    private void one(IntakeForm.Question question) {
        List<IntakeForm.Option> options = options(question);
        if (options.isEmpty()) {
            return;
        }
        double[] weights = options.stream()
                .mapToDouble(option ->
                        weight(with(question, option), option.weeks().or(() -> weeks)) * need(question, option))
                .toArray();
        IntakeForm.Option chosen = options.get(pick(weights, random));
        question.options(region).forEach(option -> clues.put(question.id() + ":" + option.value(), false));
        hold(question, chosen);
        answers.add(Answer.of(question.id(), chosen.value()));
    }

    private void several(IntakeForm.Question question) {
        List<String> values = new ArrayList<>();
        double odds = content.oddsOf(question.id());
        for (IntakeForm.Option option : options(question)) {
            double before = weight(clues, weeks);
            double ratio = before == 0 ? 0 : weight(with(question, option), weeks) / before;
            double here = odds * ratio * need(question, option);
            if (random.nextDouble() < here / (1 + here)) {
                hold(question, option);
                values.add(option.value());
            }
        }
        if (values.isEmpty()) {
            question.options(region).forEach(option -> clues.put(question.id() + ":" + option.value(), false));
            values.add(IntakeForm.NONE);
        }
        answers.add(Answer.of(question.id(), values.toArray(String[]::new)));
    }

    private Map<String, Boolean> with(IntakeForm.Question question, IntakeForm.Option option) {
        Map<String, Boolean> told = new LinkedHashMap<>(clues);
        told.put(question.id() + ":" + option.value(), true);
        option.implies().forEach(clue -> told.put(clue, true));
        return told;
    }

    private void hold(IntakeForm.Question question, IntakeForm.Option option) {
        clues.putAll(with(question, option));
        holding.addAll(option.clues());
        weeks = option.weeks().or(() -> weeks);
    }

    /** How much more readily an option is told for what the conditions need by definition. */
    private double need(IntakeForm.Question question, IntakeForm.Option option) {
        Set<String> open = needed.stream()
                .map(Pattern.Clue::id)
                .filter(clue -> needed.stream().noneMatch(each -> holding.contains(each.id())))
                .collect(Collectors.toSet());
        if (open.isEmpty()) {
            return 1;
        }
        if (option.clues().stream().anyMatch(open::contains)) {
            return content.needed();
        }
        List<IntakeForm.Option> supply = form.questionsOf(region).stream()
                .flatMap(other -> other.options(region).stream())
                .filter(other -> other.clues().stream().anyMatch(open::contains))
                .toList();
        boolean rulesOut = !supply.isEmpty()
                && supply.stream()
                        .allMatch(other -> other.notWith()
                                .getOrDefault(question.id(), List.of())
                                .contains(option.value()));
        return rulesOut ? RULES_OUT : 1;
    }

    /** A place drawn as readily as its weight says. */
    static int pick(double[] weights, RandomGenerator random) {
        double sum = 0;
        for (double weight : weights) {
            sum += weight;
        }
        double at = random.nextDouble() * sum;
        for (int i = 0; i < weights.length; i++) {
            at -= weights[i];
            if (at < 0) {
                return i;
            }
        }
        return weights.length - 1;
    }

    private Set<String> areasHere() {
        return form.drawings().stream()
                .filter(drawing -> drawing.regions().contains(region))
                .flatMap(drawing -> drawing.areas().keySet().stream())
                .collect(Collectors.toSet());
    }

    private List<StoryTable.Painted> patterns(String of) {
        Set<String> here = areasHere();
        return form.story().painted().stream()
                .filter(each -> each.of().equals(of)
                        && (each.regions().isEmpty() || each.regions().contains(region))
                        && each.any().stream()
                                        .filter(group -> group.stream().anyMatch(here::contains))
                                        .count()
                                >= each.least())
                .toList();
    }

    /** Patterns that speak for some condition of the zone: where a complaint of that kind is usually felt. */
    private boolean usual(StoryTable.Painted pattern) {
        Set<String> zones = answers.stream()
                .filter(answer -> answer.question().equals("zone"))
                .flatMap(answer -> answer.values().stream())
                .collect(Collectors.toSet());
        return form.zonesOf(region).stream()
                .filter(zone -> zones.contains(zone.id()))
                .flatMap(zone -> zone.conditions().stream())
                .flatMap(condition -> form.story().rows().getOrDefault(condition, List.of()).stream())
                .anyMatch(row -> row.up() && row.holds() && row.clue().equals(pattern.clue()));
    }

    private double ratio(StoryTable.Painted pattern) {
        Map<String, Boolean> told = new LinkedHashMap<>(clues);
        told.put(pattern.clue(), true);
        double before = weight(clues, weeks);
        return before == 0 ? 0 : weight(told, weeks) / before;
    }

    /** Areas of one pattern; empty where no drawing of the region has any. */
    private Optional<List<String>> painted(String of) {
        List<StoryTable.Painted> patterns = patterns(of);
        if (patterns.isEmpty()) {
            return Optional.empty();
        }
        double[] weights = patterns.stream()
                .mapToDouble(pattern -> ratio(pattern) * (usual(pattern) ? 1 : content.elsewhere()))
                .toArray();
        StoryTable.Painted chosen = patterns.get(pick(weights, random));
        clues.put(chosen.clue(), true);
        return Optional.of(areas(chosen));
    }

    private List<String> areas(StoryTable.Painted pattern) {
        Set<String> here = areasHere();
        List<String> areas = new ArrayList<>();
        for (Set<String> group : pattern.any()) {
            List<String> drawn = group.stream().filter(here::contains).sorted().toList();
            if (!drawn.isEmpty() && areas.size() < pattern.least()) {
                areas.add(drawn.get(random.nextInt(drawn.size())));
            }
        }
        return areas;
    }

    private List<String> tingling() {
        List<StoryTable.Painted> patterns = patterns("tingling");
        Map<String, Boolean> told = new LinkedHashMap<>(clues);
        told.put(NO_TINGLING, true);
        double before = weight(clues, weeks);
        double[] weights = new double[patterns.size() + 1];
        weights[patterns.size()] = before == 0 ? 1 : weight(told, weeks) / before;
        for (int p = 0; p < patterns.size(); p++) {
            weights[p] = content.tingling() / patterns.size() * ratio(patterns.get(p));
        }
        int chosen = pick(weights, random);
        if (chosen == patterns.size()) {
            clues.put(NO_TINGLING, true);
            return List.of(IntakeForm.NONE);
        }
        clues.put(patterns.get(chosen).clue(), true);
        return areas(patterns.get(chosen));
    }
}
