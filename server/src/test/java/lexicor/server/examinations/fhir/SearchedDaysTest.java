package lexicor.server.examinations.fhir;

import static org.assertj.core.api.Assertions.assertThat;

import ca.uhn.fhir.rest.param.DateParam;
import ca.uhn.fhir.rest.param.DateRangeParam;
import java.time.Instant;
import java.time.ZoneId;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A day is one by the clock of the clinic, at whatever hour of it the visit was. */
class SearchedDaysTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");

    @ParameterizedTest
    @CsvSource({
        "2026-07-01, 2026-06-30T23:00:00Z, true",
        "2026-07-01, 2026-06-30T22:59:59Z, false",
        "2026-07-01, 2026-07-01T22:59:59Z, true",
        "2026-07-01, 2026-07-01T23:00:00Z, false",
        "ge2026-07-01, 2026-06-30T23:30:00Z, true",
        "ge2026-07-01, 2026-06-30T22:30:00Z, false",
        "gt2026-07-01, 2026-07-01T12:00:00Z, false",
        "gt2026-07-01, 2026-07-01T23:30:00Z, true",
        "sa2026-07-01, 2026-07-01T23:30:00Z, true",
        "lt2026-07-01, 2026-06-30T23:30:00Z, false",
        "lt2026-07-01, 2026-06-30T22:30:00Z, true",
        "eb2026-07-01, 2026-06-30T22:30:00Z, true",
        "le2026-07-01, 2026-07-01T22:30:00Z, true",
        "le2026-07-01, 2026-07-01T23:30:00Z, false",
        "2026-07, 2026-07-31T22:30:00Z, true",
        "2026-07, 2026-07-31T23:30:00Z, false",
        "2026, 2026-12-31T23:30:00Z, true",
        "2026, 2027-01-01T00:00:00Z, false",
        "ge2026-07-01T10:00:00Z, 2026-07-01T10:00:00Z, true",
        "lt2026-07-01T10:00:00Z, 2026-07-01T09:59:59Z, true",
        "gt2026-07-01T10:00:00Z, 2026-07-01T10:00:00.500Z, false"
    })
    void a_moment_is_among_the_days_asked_for(String asked, Instant when, boolean among) {
        DateRangeParam days = new DateRangeParam(new DateParam(asked));
        assertThat(new SearchedDays(days, ZONE).include(when)).isEqualTo(among);
    }
}
