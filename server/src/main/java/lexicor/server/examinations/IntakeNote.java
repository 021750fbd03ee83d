package lexicor.server.examinations;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Lock;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.SafetyScreen;
import lexicor.core.intake.Told;
import org.springframework.stereotype.Component;

/** The part of a note that comes before the findings: story, safety, locks and decisions against them. */
@Component
class IntakeNote {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.UK).withZone(ZoneId.systemDefault());

    private final Catalogue catalogue;
    private final IntakeForm form;

    IntakeNote(Catalogue catalogue, IntakeForm form) {
        this.catalogue = catalogue;
        this.form = form;
    }

    /** What was told, in lines of plain text; none where nothing was. */
    List<String> story(ExaminationService.Recorded recorded) {
        return story(recorded.row().region(), Told.of(recorded.history().heard())).stream().map(line -> "- " + line).toList();
    }

    private List<String> story(String region, Told told) {
        List<String> story = new ArrayList<>();
        List<String> zones = form.zonesOf(region).stream().filter(zone -> told.values("zone").contains(zone.id())).map(IntakeForm.Zone::label).toList();
        if (!zones.isEmpty()) {
            story.add("Where: " + String.join(", ", zones));
        }
        for (String kind : List.of("pain-areas", "tingling-areas")) {
            List<String> areas = form.drawingsOf(region).stream().flatMap(drawing -> drawing.areas().entrySet().stream())
                    .filter(area -> told.values(kind).contains(area.getKey())).map(Map.Entry::getValue).toList();
            if (!areas.isEmpty()) {
                story.add((kind.startsWith("pain") ? "Pain: " : "Tingling: ") + String.join("; ", areas));
            }
        }
        for (IntakeForm.Question question : form.questionsOf(region)) {
            OptionalInt number = told.whole(question.id());
            if (question.scale().isPresent()) {
                number.ifPresent(value -> story.add(question.ask() + ": " + value + " of " + question.scale().get().to()));
            } else {
                List<String> labels = question.options(region).stream().filter(option -> told.values(question.id()).contains(option.value())).map(IntakeForm.Option::label).toList();
                if (!labels.isEmpty()) {
                    story.add(question.ask().replace("?", "") + ": " + String.join(", ", labels));
                }
            }
        }
        return story;
    }

    /** Red flags, locks and decisions against them, in lines of plain text. */
    List<String> safety(IntakeState state) {
        List<String> safety = new ArrayList<>();
        SafetyScreen screen = state.screen();
        screen.present().forEach(flag -> {
            SafetyScreen.Release release = screen.releases().get(flag.id());
            safety.add("Red flag: " + flag.sign() + ". Think of: " + flag.thinkOf() + ". " + (release == null ? flag.then() + ". Testing is suspended."
                    : "Released by " + release.by() + " on " + DAY.format(release.at()) + ": " + release.reason()));
        });
        if (screen.state() == SafetyScreen.State.OPEN && screen.present().isEmpty()) {
            safety.add("Red flags asked: none");
        } else if (screen.state() == SafetyScreen.State.NOT_YET_ASKED) {
            safety.add("Red flags not all asked");
        }
        for (Lock lock : catalogue.locks()) {
            lock.facts().stream().filter(fact -> state.facts().stream().anyMatch(finding -> finding.fact().equals(fact.id())))
                    .forEach(fact -> safety.add(fact.label() + ". Locked or lightened: " + lock.kinds().toLowerCase(Locale.UK)));
        }
        state.overrides().forEach((test, override) -> safety.add("Done against a lock: " + catalogue.test(test).name() + ", by " + override.by() + " on " + DAY.format(override.at())
                + ": " + override.reason()));
        return safety.stream().map(line -> "- " + line).toList();
    }
}
