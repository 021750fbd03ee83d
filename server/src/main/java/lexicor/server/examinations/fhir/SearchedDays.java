package lexicor.server.examinations.fhir;

import ca.uhn.fhir.model.api.TemporalPrecisionEnum;
import ca.uhn.fhir.rest.param.DateParam;
import ca.uhn.fhir.rest.param.DateRangeParam;
import ca.uhn.fhir.rest.param.ParamPrefixEnum;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;

/**
 * What a search by date asks for. A day, month or year is one by the clock of a zone, from its first moment to the
 * first of the next.
 */
final class SearchedDays {

    private final DateRangeParam asked;
    private final ZoneId zone;

    SearchedDays(DateRangeParam asked, ZoneId zone) {
        this.asked = asked;
        this.zone = zone;
    }

    /** Whether a moment is among them. */
    boolean include(Instant when) {
        DateParam lower = asked.getLowerBound();
        DateParam upper = asked.getUpperBound();
        return (lower == null || !when.isBefore(after(lower) ? to(lower) : from(lower)))
                && (upper == null || when.isBefore(before(upper) ? from(upper) : to(upper)));
    }

    private static boolean after(DateParam bound) {
        return bound.getPrefix() == ParamPrefixEnum.GREATERTHAN || bound.getPrefix() == ParamPrefixEnum.STARTS_AFTER;
    }

    private static boolean before(DateParam bound) {
        return bound.getPrefix() == ParamPrefixEnum.LESSTHAN || bound.getPrefix() == ParamPrefixEnum.ENDS_BEFORE;
    }

    private Instant from(DateParam bound) {
        return isDays(bound)
                ? day(bound).atStartOfDay(zone).toInstant()
                : bound.getValue().toInstant();
    }

    /** The first moment that is no longer part of it. */
    private Instant to(DateParam bound) {
        if (isDays(bound)) {
            LocalDate day = day(bound);
            LocalDate next = switch (bound.getPrecision()) {
                case YEAR -> day.plusYears(1);
                case MONTH -> day.plusMonths(1);
                default -> day.plusDays(1);
            };
            return next.atStartOfDay(zone).toInstant();
        }
        Instant from = bound.getValue().toInstant();
        return switch (bound.getPrecision()) {
            case MINUTE -> from.plusSeconds(60);
            case SECOND -> from.plusSeconds(1);
            default -> from.plusMillis(1);
        };
    }

    private static boolean isDays(DateParam bound) {
        return bound.getPrecision().ordinal() <= TemporalPrecisionEnum.DAY.ordinal();
    }

    /** The first day of what was written, such as 2026, 2026-11 or 2026-11-30. */
    private static LocalDate day(DateParam bound) {
        String written = bound.getValueAsString();
        return LocalDate.parse(written + "-01-01".substring(Math.min(6, written.length() - 4)));
    }
}
