package lexicor.core.intake;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.evidence.Evidence;
import lexicor.core.lookup.Keyed;
import lexicor.core.posttest.LogOdds;
import lexicor.core.story.HeardStory;
import lexicor.core.story.StoryTable;

/**
 * The chance of each condition before the first test: the working estimate of the setting, a tenth of it outside the
 * complaint's zone, moved by visible steps for what was told, or set by the therapist's own hand. A clue with published
 * accuracy for the condition is weighed as evidence later and never moves the start as well. A wider condition never
 * starts below a narrower one.
 */
public final class StartingOdds {

    /** A condition outside the zone of the complaint starts at this share of its figure. */
    public static final double OUTSIDE_ZONE = 0.1;

    /** How sure the therapist is of the start: standard deviation on the logit. */
    public enum Width {
        FIRM(0.25),
        USUAL(0.5),
        VAGUE(1.0);

        private final double deviation;

        Width(double deviation) {
            this.deviation = deviation;
        }

        public double deviation() {
            return deviation;
        }
    }

    /**
     * What the start depends on.
     *
     * @param estimates working estimates of the setting, by condition, each within (0, 1)
     * @param zone conditions of the complaint's zone
     * @param heard what was told
     * @param clues ids of the catalogue's clues that hold
     * @param repeated clues that no longer move a condition, since a test has shown or denied them, by condition
     * @param own chances that the therapist set, within (0, 1), by condition
     */
    public record Story(
            Map<ConditionId, Double> estimates,
            Set<ConditionId> zone,
            HeardStory heard,
            Set<String> clues,
            Map<ConditionId, Set<String>> repeated,
            Map<ConditionId, Double> own) {
        public Story {
            estimates = Map.copyOf(estimates);
            zone = Set.copyOf(zone);
            clues = Set.copyOf(clues);
            repeated = Map.copyOf(repeated);
            own = Map.copyOf(own);
        }
    }

    /**
     * One step of the way from estimate to start, on the log-odds scale.
     *
     * @param clue of the story; empty where it is none
     * @param by in words
     * @param reason why, in a line; may be empty
     */
    public record Moved(String clue, String by, String reason, double logOdds) {}

    /**
     * A condition's start.
     *
     * @param estimate the working estimate of the setting, 0..1
     * @param moved steps in the order in which they apply
     * @param weighedLater clues that hold and have published accuracy for it: they move the chance as evidence, not the
     *     start
     * @param ownChance what the therapist set in their place; empty where nobody did
     * @param chance the start that follows, 0..1
     * @param inactive why it does not count in this story; empty where it counts
     */
    public record Start(
            Condition condition,
            double estimate,
            List<Moved> moved,
            List<String> weighedLater,
            Optional<Double> ownChance,
            double chance,
            Optional<String> inactive) {
        public Start {
            moved = List.copyOf(moved);
            weighedLater = List.copyOf(weighedLater);
        }

        /** Whether a clue of the story moved it, or any of age where it is asked about {@code age:}. */
        public boolean movedBy(String clue) {
            return moved.stream()
                    .anyMatch(step -> clue.endsWith(":")
                            ? step.clue().startsWith(clue)
                            : step.clue().equals(clue));
        }
    }

    /** The working estimates that ship with the product. */
    public static Map<ConditionId, Double> shippedEstimates(List<Condition> conditions, CareSetting setting) {
        Map<ConditionId, Double> estimates = new LinkedHashMap<>();
        conditions.forEach(
                condition -> estimates.put(condition.id(), condition.start().get(setting)));
        return estimates;
    }

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final StoryTable table;

    public StartingOdds(Catalogue catalogue, Evidence evidence, StoryTable table) {
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.table = table;
    }

    /**
     * The start of each condition, in the given order.
     *
     * @throws IllegalArgumentException if a clue is not known or an own chance is not within (0, 1)
     */
    public List<Start> of(List<Condition> conditions, Story story) {
        story.clues().stream()
                .filter(clue -> !catalogue.clues().containsKey(clue))
                .findFirst()
                .ifPresent(unknown -> {
                    throw new IllegalArgumentException("clue '" + unknown + "' is not known; allowed: "
                            + catalogue.clues().keySet().stream().sorted().toList());
                });
        return neverBelowNarrower(
                conditions.stream().map(condition -> start(condition, story)).toList());
    }

    private Start start(Condition condition, Story story) {
        double estimate = Keyed.at(story.estimates(), condition.id());
        List<Moved> moved = new ArrayList<>();
        if (!story.zone().contains(condition.id())) {
            moved.add(new Moved(
                    "",
                    "Outside the zone of the complaint",
                    "",
                    LogOdds.ofChance(estimate * OUTSIDE_ZONE).value()
                            - LogOdds.ofChance(estimate).value()));
        }
        Set<String> repeated = story.repeated().getOrDefault(condition.id(), Set.of());
        StoryTable.Effect effect = table.effect(condition.id(), story.heard(), clue -> !repeated.contains(clue));
        effect.shifts()
                .forEach(shift -> moved.add(new Moved(shift.clue(), shift.label(), shift.reason(), shift.logOdds())));
        List<String> weighedLater = story.clues().stream()
                .filter(clue -> evidence.weighsClue(clue, condition.id()))
                .sorted()
                .map(clue -> Keyed.at(catalogue.clues(), clue).label())
                .toList();
        return start(
                condition,
                estimate,
                moved,
                weighedLater,
                Optional.ofNullable(story.own().get(condition.id())),
                inactive(condition, story, effect));
    }

    private static Start start(
            Condition condition,
            double estimate,
            List<Moved> moved,
            List<String> weighedLater,
            Optional<Double> own,
            Optional<String> inactive) {
        double now = LogOdds.ofChance(estimate).value()
                + moved.stream().mapToDouble(Moved::logOdds).sum();
        double chance = own.map(value -> LogOdds.ofChance(value).chance()).orElse(new LogOdds(now).chance());
        return new Start(condition, estimate, moved, weighedLater, own, chance, inactive);
    }

    private static Optional<String> inactive(Condition condition, Story story, StoryTable.Effect effect) {
        if (!condition.onlyIf().isEmpty()
                && condition.onlyIf().stream().noneMatch(needed -> story.clues().contains(needed.id()))) {
            return Optional.of(condition.onlyIf().stream()
                    .map(needed -> needed.label().substring(0, 1).toLowerCase(Locale.UK)
                            + needed.label().substring(1))
                    .collect(Collectors.joining(", or ")));
        }
        return Optional.of(effect.out()).filter(out -> !out.isEmpty());
    }

    /** Raises a wider condition to its narrower one, unless the therapist set it. */
    private List<Start> neverBelowNarrower(List<Start> starts) {
        Map<ConditionId, Start> raised = new LinkedHashMap<>();
        starts.forEach(start -> raised.put(start.condition().id(), start));
        for (Start narrow : starts) {
            for (ConditionId wider : catalogue.widerThan(narrow.condition().id())) {
                Start wide = raised.get(wider);
                double least = Keyed.at(raised, narrow.condition().id()).chance();
                if (narrow.inactive().isEmpty()
                        && wide != null
                        && wide.ownChance().isEmpty()
                        && wide.chance() < least) {
                    List<Moved> moved = new ArrayList<>(wide.moved());
                    moved.add(new Moved(
                            "",
                            "Never below " + inSentence(narrow.condition().shortName()),
                            "",
                            LogOdds.ofChance(least).value()
                                    - LogOdds.ofChance(wide.chance()).value()));
                    raised.put(
                            wider,
                            start(
                                    wide.condition(),
                                    wide.estimate(),
                                    moved,
                                    wide.weighedLater(),
                                    wide.ownChance(),
                                    wide.inactive()));
                }
            }
        }
        return List.copyOf(raised.values());
    }

    private static String inSentence(String name) {
        return name.substring(0, 1).toLowerCase(Locale.UK) + name.substring(1);
    }
}
