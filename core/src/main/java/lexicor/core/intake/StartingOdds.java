package lexicor.core.intake;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Setting;
import lexicor.core.evidence.Evidence;
import lexicor.core.weighing.LogOdds;

/**
 * The chance of each condition before the first test: the working estimate of the setting, a tenth of it outside the
 * complaint's zone, moved by visible steps for the clues, or set by the therapist's own hand. A clue with published
 * accuracy for the condition is weighed as evidence later and never moves the start as well.
 */
public final class StartingOdds {

    /** A condition outside the zone of the complaint starts at this share of its figure. */
    public static final double OUTSIDE_ZONE = 0.1;

    /** How sure the therapist is of the start: standard deviation on the logit. */
    public enum Width {
        FIRM(0.25), USUAL(0.5), VAGUE(1.0);

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
     * @param zone      conditions of the complaint's zone
     * @param clues     ids of the clues that hold
     * @param own       chances that the therapist set, within (0, 1), by condition
     */
    public record Story(Map<ConditionId, Double> estimates, Set<ConditionId> zone, Set<String> clues, Map<ConditionId, Double> own) {
        public Story {
            estimates = Map.copyOf(estimates);
            zone = Set.copyOf(zone);
            clues = Set.copyOf(clues);
            own = Map.copyOf(own);
        }
    }

    /** One step of the way from estimate to start, on the log-odds scale. */
    public record Moved(String by, double logOdds) {
    }

    /**
     * A condition's start.
     *
     * @param estimate  the working estimate of the setting, 0..1
     * @param moved     steps in the order in which they apply
     * @param weighedLater clues that hold and have published accuracy for it: they move the chance as evidence, not the start
     * @param ownChance what the therapist set in their place; empty where nobody did
     * @param chance    the start that follows, 0..1
     * @param inactive  the story without which it does not count; empty where it counts
     */
    public record Start(Condition condition, double estimate, List<Moved> moved, List<String> weighedLater, Optional<Double> ownChance, double chance,
            Optional<String> inactive) {
        public Start {
            moved = List.copyOf(moved);
            weighedLater = List.copyOf(weighedLater);
        }
    }

    /** The working estimates that ship with the product. */
    public static Map<ConditionId, Double> shippedEstimates(List<Condition> conditions, Setting setting) {
        Map<ConditionId, Double> estimates = new LinkedHashMap<>();
        conditions.forEach(condition -> estimates.put(condition.id(), condition.start().get(setting)));
        return estimates;
    }

    private final Catalogue catalogue;
    private final Evidence evidence;

    public StartingOdds(Catalogue catalogue, Evidence evidence) {
        this.catalogue = catalogue;
        this.evidence = evidence;
    }

    /**
     * The start of each condition, in the given order.
     *
     * @throws IllegalArgumentException if a clue is not known or an own chance is not within (0, 1)
     */
    public List<Start> of(List<Condition> conditions, Story story) {
        story.clues().stream().filter(clue -> !catalogue.clues().containsKey(clue)).findFirst().ifPresent(unknown -> {
            throw new IllegalArgumentException("clue '" + unknown + "' is not known; allowed: " + catalogue.clues().keySet().stream().sorted().toList());
        });
        return conditions.stream().map(condition -> start(condition, story)).toList();
    }

    private Start start(Condition condition, Story story) {
        double estimate = story.estimates().get(condition.id());
        List<Moved> moved = new ArrayList<>();
        double now = LogOdds.ofChance(estimate).value();
        if (!story.zone().contains(condition.id())) {
            double outside = LogOdds.ofChance(estimate * OUTSIDE_ZONE).value();
            moved.add(new Moved("outside the zone of the complaint", outside - now));
        }
        Pattern pattern = catalogue.patterns().get(condition.id());
        List<String> weighedLater = story.clues().stream().filter(clue -> evidence.weighsClue(clue, condition.id())).sorted()
                .map(clue -> catalogue.clues().get(clue).label()).toList();
        if (pattern != null) {
            pattern.clues().stream().filter(shift -> story.clues().contains(shift.clue().id()) && !evidence.weighsClue(shift.clue().id(), condition.id()))
                    .forEach(shift -> moved.add(new Moved(shift.clue().label(), shift.step().logOdds())));
        }
        for (Moved step : moved) {
            now += step.logOdds();
        }
        Optional<Double> own = Optional.ofNullable(story.own().get(condition.id()));
        double chance = own.map(value -> LogOdds.ofChance(value).chance()).orElse(new LogOdds(now).chance());
        Optional<String> inactive = condition.onlyIf().filter(needed -> !story.clues().contains(needed.id())).map(Pattern.Clue::label);
        return new Start(condition, estimate, moved, weighedLater, own, chance, inactive);
    }
}
