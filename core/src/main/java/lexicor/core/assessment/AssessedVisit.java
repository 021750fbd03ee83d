package lexicor.core.assessment;

import java.util.List;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.StartingOdds;

/**
 * A visit as it is weighed.
 *
 * @param told what follows from what was told
 * @param readings of the region's tests in the order of the routine, then of any others that were done
 * @param starts of every condition of the region's zones, and of those that a test of another region has brought in
 */
public record AssessedVisit(
        IntakeState told, List<TestReading> readings, List<StartingOdds.Start> starts, Visit visit) {

    public AssessedVisit {
        readings = List.copyOf(readings);
        starts = List.copyOf(starts);
    }
}
