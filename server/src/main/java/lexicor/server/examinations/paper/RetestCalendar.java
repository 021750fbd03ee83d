package lexicor.server.examinations.paper;

import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateStart;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Date;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.conclusion.Conclusion;
import lexicor.server.examinations.record.CommandRow;
import lexicor.server.examinations.record.Recorded;
import org.springframework.stereotype.Component;

/**
 * The day to test again as an entry for a calendar (iCalendar, RFC 5545). It names the case by its code alone:
 * calendars are read by more people than records.
 */
@Component
public class RetestCalendar {

    private final Catalogue catalogue;

    RetestCalendar(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** Empty where no day was set. The same record gives the same entry, which takes the place of an earlier one. */
    public Optional<String> of(Recorded recorded) {
        Conclusion conclusion = Conclusion.of(recorded.told());
        return conclusion.again().map(day -> calendar(recorded, conclusion, day).write());
    }

    private ICalendar calendar(Recorded recorded, Conclusion conclusion, LocalDate day) {
        Instant entered = recorded.commands().stream()
                .map(CommandRow::receivedAt)
                .reduce((first, last) -> last)
                .orElse(recorded.row().startedAt());
        VEvent event = new VEvent();
        event.setUid(recorded.row().getId() + "@lexicor");
        event.setDateTimeStamp(Date.from(entered));
        event.setDateStart(new DateStart(
                new ICalDate(new DateTimeComponents(day.getYear(), day.getMonthValue(), day.getDayOfMonth()), false)));
        event.setSummary("Test again: case " + recorded.row().caseFile().code() + ", "
                + recorded.row().side().name().toLowerCase(Locale.UK) + " "
                + recorded.row().region());
        String tests = conclusion.markers().stream()
                .map(test -> catalogue.test(test).shortName())
                .collect(Collectors.joining(", "));
        if (!tests.isEmpty()) {
            event.setDescription(tests);
        }
        ICalendar calendar = new ICalendar();
        calendar.setVersion(ICalVersion.V2_0);
        calendar.setProductId("-//Lexicor//Test again//EN");
        calendar.addEvent(event);
        return calendar;
    }
}
