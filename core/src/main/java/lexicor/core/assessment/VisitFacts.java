package lexicor.core.assessment;

import java.time.LocalDate;
import java.util.Map;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.examination.History;
import lexicor.core.examination.OtherSide;
import lexicor.core.examination.Side;
import lexicor.core.findings.Assumptions;
import lexicor.core.intake.Person;

/**
 * Everything about a visit that an assessment follows from.
 *
 * @param other whether the other side is a normal to compare with
 * @param day of the visit
 * @param history what was told and recorded
 * @param schools of the clinic; the visit may change them
 * @param estimates the clinic's own working estimates, 0..1; of a condition without one the shipped estimate holds
 */
public record VisitFacts(
        String region,
        CareSetting setting,
        Side side,
        OtherSide other,
        LocalDate day,
        Person person,
        History history,
        Schools schools,
        Map<ConditionId, Double> estimates,
        Assumptions assumptions) {

    public VisitFacts {
        estimates = Map.copyOf(estimates);
    }

    /** The same with another history. */
    public VisitFacts with(History another) {
        return new VisitFacts(region, setting, side, other, day, person, another, schools, estimates, assumptions);
    }
}
