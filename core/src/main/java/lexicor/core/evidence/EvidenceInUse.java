package lexicor.core.evidence;

import lexicor.core.catalogue.CriterionId;

/**
 * What weighs a finding: the criterion, the record that is shown for it and what is expected of it here.
 *
 * @param figures what the record says by itself
 * @param belief what an independent clinic would find
 * @param independent whether anyone but those who proposed the test has published on the criterion
 */
public record EvidenceInUse(
        AccuracyRecord record,
        CriterionId criterion,
        Series series,
        Weighable.Yes figures,
        Belief belief,
        boolean independent) {}
