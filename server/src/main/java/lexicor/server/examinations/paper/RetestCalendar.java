package lexicor.server.examinations.paper;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.intake.IntakeAnswers;
import lexicor.server.examinations.record.CommandRow;
import lexicor.server.examinations.record.Recorded;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Uid;
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
        Conclusion conclusion =
                Conclusion.of(IntakeAnswers.of(recorded.history().heard()));
        return conclusion.again().map(day -> calendar(recorded, conclusion, day).toString());
    }

    private Calendar calendar(Recorded recorded, Conclusion conclusion, LocalDate day) {
        String side = recorded.row().side().name().toLowerCase(Locale.UK);
        Instant entered = recorded.commands().stream()
                .map(CommandRow::receivedAt)
                .reduce((first, last) -> last)
                .orElse(recorded.row().startedAt());
        VEvent event = new VEvent(
                day,
                "Test again: case " + recorded.row().caseFile().code() + ", " + side + " "
                        + recorded.row().region());
        event.replace(new DtStamp(entered));
        event.add(new Uid(recorded.row().getId() + "@lexicor"));
        String tests = conclusion.markers().stream()
                .map(test -> catalogue.test(test).shortName())
                .collect(Collectors.joining(", "));
        if (!tests.isEmpty()) {
            event.add(new Description(tests));
        }
        return new Calendar()
                .withProdId("-//Lexicor//Test again//EN")
                .withDefaults()
                .withComponent(event)
                .getFluentTarget();
    }
}
