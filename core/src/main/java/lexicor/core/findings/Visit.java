package lexicor.core.findings;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.lookup.Keyed;

/**
 * What a visit brings to the weighing before the first test.
 *
 * @param region whose conditions are ranked
 * @param setting where the patient is seen
 * @param starts where each condition starts; one without a start is not ranked
 * @param clues clues that were asked, and whether each holds; those with published accuracy are weighed
 * @param schools the schools in force
 * @param assumptions what the weighing assumes
 */
public record Visit(
        String region,
        CareSetting setting,
        Map<ConditionId, Start> starts,
        Map<String, Boolean> clues,
        Schools schools,
        Assumptions assumptions) {

    /**
     * A start.
     *
     * @param chance within (0, 1)
     * @param deviation how unsure it is: standard deviation on the logit, above 0
     * @param movedBy the catalogue's clues that have moved it, so that no set counts them again
     */
    public record Start(double chance, double deviation, Set<String> movedBy) {
        public Start(double chance, double deviation) {
            this(chance, deviation, Set.of());
        }

        public Start {
            movedBy = Set.copyOf(movedBy);
            if (!(chance > 0 && chance < 1)) {
                throw new IllegalArgumentException("chance is " + chance + "; allowed: within 0 and 1");
            }
            if (!(deviation > 0)) {
                throw new IllegalArgumentException("deviation is " + deviation + "; allowed: above 0");
            }
        }
    }

    public Visit {
        starts = Map.copyOf(starts);
        clues = Collections.unmodifiableMap(new LinkedHashMap<>(clues));
    }

    /** A visit of which nothing is known but region and setting: conditions that need a story do not take part. */
    public static Visit usual(Catalogue catalogue, String region, CareSetting setting) {
        Map<ConditionId, Start> starts = new LinkedHashMap<>();
        for (Condition condition : catalogue.conditionsOf(region)) {
            if (condition.onlyIf().isEmpty()) {
                starts.put(
                        condition.id(),
                        new Start(Keyed.at(condition.start(), setting), WeighingSettings.USUAL.startDeviation()));
            }
        }
        return new Visit(region, setting, starts, Map.of(), catalogue.usualSchools(), Assumptions.usual(catalogue));
    }

    /** The same with other schools. */
    public Visit with(Schools others) {
        return new Visit(region, setting, starts, clues, others, assumptions);
    }

    /** The same with other assumptions. */
    public Visit with(Assumptions others) {
        return new Visit(region, setting, starts, clues, schools, others);
    }
}
