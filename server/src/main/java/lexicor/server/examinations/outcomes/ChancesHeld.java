package lexicor.server.examinations.outcomes;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.outcomes.Calibration;
import lexicor.server.audit.CurrentUser;
import lexicor.server.examinations.outcomes.OutcomesJson.CalibrationJson;
import lexicor.server.examinations.outcomes.SpokenComplaints.Spoken;
import lexicor.server.json.HeldClaimsJson;
import org.springframework.stereotype.Component;

/** Scores stated chances against what turned out. */
@Component
class ChancesHeld {

    private final SpokenComplaints complaints;
    private final SignedVisits signed;

    ChancesHeld(SpokenComplaints complaints, SignedVisits signed) {
        this.complaints = complaints;
        this.signed = signed;
    }

    /** Of everybody's weighings, and of the conclusions of the person at work. */
    CalibrationJson calibration() {
        Map<UUID, Spoken> byVisit = complaints.all().stream()
                .collect(Collectors.toMap(each -> each.visit().examination(), Function.identity()));
        Map<UUID, Map<ConditionId, Double>> starts = new HashMap<>();
        List<Calibration.Claim> weighed = new ArrayList<>();
        for (SignedVisits.Claim claim : signed.claims()) {
            starts.computeIfAbsent(claim.examination(), id -> new HashMap<>()).put(claim.condition(), claim.start());
            Optional.ofNullable(byVisit.get(claim.examination()))
                    .flatMap(each -> each.truths().of(claim.condition()))
                    .ifPresent(present -> weighed.add(claim.turnedOut(present)));
        }
        String me = CurrentUser.isHere();
        List<Calibration.Claim> own = new ArrayList<>();
        for (Spoken each : complaints.where(visit -> visit.signedBy().equals(me))) {
            each.visit()
                    .working()
                    .flatMap(working ->
                            own(each, working, starts.getOrDefault(each.visit().examination(), Map.of())))
                    .ifPresent(own::add);
        }
        return new CalibrationJson(HeldClaimsJson.of(weighed), HeldClaimsJson.of(own), Calibration.NEEDED);
    }

    /** The sureness of a conclusion with what turned out; empty where either is missing. */
    private static Optional<Calibration.Claim> own(Spoken each, ConditionId working, Map<ConditionId, Double> starts) {
        OptionalDouble sure = each.visit().confidence();
        Double start = starts.get(working);
        return sure.isEmpty() || start == null
                ? Optional.empty()
                : each.truths().of(working).map(present -> new Calibration.Claim(start, sure.getAsDouble(), present));
    }
}
