package lexicor.core.examination;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Conduct;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;

/** Which tests make sense yet: those that the schools do, and of those that follow on another only where it said so. */
public final class Offers {

    private final Catalogue catalogue;
    private final Schools schools;
    private final List<TestReading> readings;

    private Offers(Catalogue catalogue, Schools schools, List<TestReading> readings) {
        this.catalogue = catalogue;
        this.schools = schools;
        this.readings = List.copyOf(readings);
    }

    public static Offers of(Catalogue catalogue, Schools schools, List<TestReading> readings) {
        return new Offers(catalogue, schools, readings);
    }

    public boolean offered(TestId test) {
        return whyNot(test).isEmpty();
    }

    /** Why a test is not offered, without a full stop; empty where it is. */
    public Optional<String> whyNot(TestId id) {
        Conduct conduct = catalogue.test(id).conduct();
        Optional<String> school = conduct.onlyWhere().entrySet().stream()
                .filter(only -> !schools.choice(only.getKey()).equals(only.getValue()))
                .map(only -> "not done by the school in force")
                .findFirst();
        return school.or(() -> conduct.after().stream()
                .filter(after -> !came(after))
                .map(after ->
                        "after " + catalogue.test(after.test()).shortName().toLowerCase() + ": " + after.because())
                .findFirst());
    }

    private boolean came(Conduct.After after) {
        Reading.Result wanted = after.positive() ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE;
        return readings.stream()
                .filter(reading -> reading.test().equals(after.test()))
                .flatMap(reading -> reading.readings().stream())
                .anyMatch(reading -> reading.criterion().equals(after.criterion()) && reading.result() == wanted);
    }
}
