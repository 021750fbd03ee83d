package lexicor.core.evidence;

import lexicor.core.catalogue.CriterionId;

/** A record that weighs a finding, with the criterion it was measured by and the belief drawn from it. */
public record EvidenceInUse(AccuracyRecord record, CriterionId criterion, Series series, Weighable.Yes figures) {

    public Belief belief() {
        return figures.belief();
    }
}
