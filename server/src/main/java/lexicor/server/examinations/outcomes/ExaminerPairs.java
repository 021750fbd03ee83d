package lexicor.server.examinations.outcomes;

import static lexicor.server.json.OrNull.orNull;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.outcomes.Agreement;
import lexicor.server.examinations.outcomes.OutcomesJson.AgreementsJson;
import lexicor.server.examinations.outcomes.OutcomesJson.TestAgreementJson;
import lexicor.server.examinations.outcomes.SignedVisits.Judged;
import lexicor.server.json.EstimateJson;
import org.springframework.stereotype.Service;

/**
 * Counts how examiners agree. A pair is two signed visits of one complaint on one day, by two people, neither begun as
 * the follow-up of the other; of more than two the first two count.
 */
@Service
class ExaminerPairs {

    /** Patients from whom on kappa is told. */
    private static final int NEEDED = 5;

    private final SignedVisits signed;
    private final Catalogue catalogue;
    private final CriterionNames names;

    ExaminerPairs(SignedVisits signed, Catalogue catalogue, CriterionNames names) {
        this.signed = signed;
        this.catalogue = catalogue;
        this.names = names;
    }

    private record Pair(UUID first, UUID second) {}

    AgreementsJson agreements() {
        signed.settle();
        List<Pair> pairs = pairs();
        Map<Judged, int[][]> counts = new LinkedHashMap<>();
        for (Pair pair : pairs) {
            Map<Judged, Boolean> second = answers(pair.second());
            answers(pair.first()).forEach((judged, positive) -> {
                Boolean other = second.get(judged);
                if (other != null && catalogue.tests().containsKey(judged.test())) {
                    counts.computeIfAbsent(judged, key -> new int[2][2])[positive ? 1 : 0][other ? 1 : 0]++;
                }
            });
        }
        return new AgreementsJson(
                pairs.size(),
                NEEDED,
                counts.entrySet().stream()
                        .map(each -> json(each.getKey(), each.getValue()))
                        .sorted(Comparator.comparingInt((TestAgreementJson each) -> each.bothPositive()
                                        + each.firstOnly()
                                        + each.secondOnly()
                                        + each.bothNegative())
                                .reversed()
                                .thenComparing(TestAgreementJson::name)
                                .thenComparing(TestAgreementJson::criterion))
                        .toList());
    }

    private List<Pair> pairs() {
        Map<List<Object>, List<SignedVisits.Visit>> days = signed.visits().stream()
                .collect(Collectors.groupingBy(
                        visit -> List.of(visit.complaint(), visit.day()), LinkedHashMap::new, Collectors.toList()));
        List<Pair> pairs = new ArrayList<>();
        for (List<SignedVisits.Visit> day : days.values()) {
            Set<UUID> there = day.stream().map(SignedVisits.Visit::examination).collect(Collectors.toSet());
            Map<String, SignedVisits.Visit> byPerson = new LinkedHashMap<>();
            day.stream()
                    .filter(visit -> visit.follows().filter(there::contains).isEmpty())
                    .forEach(visit -> byPerson.putIfAbsent(visit.signedBy(), visit));
            List<UUID> examined = byPerson.values().stream()
                    .map(SignedVisits.Visit::examination)
                    .limit(2)
                    .toList();
            if (examined.size() == 2) {
                pairs.add(new Pair(examined.get(0), examined.get(1)));
            }
        }
        return pairs;
    }

    /** What an examination's tests answered; a criterion that said both about different conditions is left out. */
    private Map<Judged, Boolean> answers(UUID examination) {
        Map<Judged, List<SignedVisits.Finding>> all = signed.findings(examination).stream()
                .collect(Collectors.groupingBy(SignedVisits.Finding::judged, LinkedHashMap::new, Collectors.toList()));
        Map<Judged, Boolean> answers = new LinkedHashMap<>();
        all.forEach((judged, findings) -> {
            if (findings.size() == 1) {
                answers.put(judged, findings.get(0).positive());
            }
        });
        return answers;
    }

    private TestAgreementJson json(Judged judged, int[][] count) {
        Agreement agreement = new Agreement(count[1][1], count[1][0], count[0][1], count[0][0]);
        return new TestAgreementJson(
                judged.test().value(),
                catalogue.test(judged.test()).shortName(),
                names.of(judged),
                count[1][1],
                count[1][0],
                count[0][1],
                count[0][0],
                agreement.observed(),
                agreement.patients() < NEEDED
                        ? null
                        : agreement.kappa().map(EstimateJson::of).orElse(null),
                agreement.adjustedKappa(),
                orNull(agreement.positiveAgreement()),
                orNull(agreement.negativeAgreement()));
    }
}
