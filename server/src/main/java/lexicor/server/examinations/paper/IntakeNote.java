package lexicor.server.examinations.paper;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.Retired;
import lexicor.core.examination.Answer;
import lexicor.core.intake.ContentWords;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.LockFinding;
import lexicor.core.intake.SafetyScreen;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.words.Typed;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/** The part of a note that comes before the findings: story, safety, locks and decisions against them. */
@Component
public class IntakeNote {

    private final Catalogue catalogue;
    private final IntakeForm form;
    private final People people;
    private final ContentWords words;

    IntakeNote(Catalogue catalogue, IntakeForm form, People people, ContentWords words) {
        this.words = words;
        this.people = people;
        this.catalogue = catalogue;
        this.form = form;
    }

    /** What was told, in lines of plain text; none where nothing was. */
    List<String> story(Recorded recorded) {
        return told(recorded).stream().map(line -> "- " + line).toList();
    }

    /** What was told of where, how and since when, a line for each question that was answered. */
    public List<String> told(Recorded recorded) {
        String region = recorded.row().region();
        IntakeAnswers told = recorded.told();
        List<String> story = new ArrayList<>();
        List<String> zones = form.zonesOf(region).stream()
                .filter(zone -> told.values("zone").contains(zone.id()))
                .map(IntakeForm.Zone::label)
                .toList();
        if (!zones.isEmpty()) {
            story.add("Where: " + String.join(", ", zones));
        }
        for (String kind : List.of("pain-areas", "tingling-areas")) {
            List<String> areas = form.drawingsOf(region).stream()
                    .flatMap(drawing -> drawing.areas().entrySet().stream())
                    .filter(area -> told.values(kind).contains(area.getKey()))
                    .map(Map.Entry::getValue)
                    .toList();
            if (!areas.isEmpty()) {
                story.add((kind.startsWith("pain") ? "Pain: " : "Tingling: ") + String.join("; ", areas));
            }
        }
        for (IntakeForm.Question question : form.questionsOf(region)) {
            OptionalInt number = told.whole(question.id());
            if (question.scale().isPresent()) {
                number.ifPresent(value -> story.add(question.ask() + ": " + value + " of "
                        + question.scale().get().to()));
            } else {
                List<String> labels = question.options(region).stream()
                        .filter(option -> told.values(question.id()).contains(option.value()))
                        .map(IntakeForm.Option::label)
                        .toList();
                if (!labels.isEmpty()) {
                    story.add(question.ask().replace("?", "") + ": " + String.join(", ", labels));
                }
            }
        }
        story.addAll(gone(told));
        return story;
    }

    /** Answers to questions that are no longer asked, or that no longer have this answer, by the words they had. */
    private List<String> gone(IntakeAnswers told) {
        List<String> gone = new ArrayList<>();
        for (Answer answer : told.answers()) {
            List<String> values = answer.values().stream()
                    .filter(value -> isGone(answer.question(), value))
                    .map(value -> words.answer(answer.question(), value))
                    .toList();
            if (!values.isEmpty()) {
                gone.add(words.question(answer.question()) + ": " + String.join(", ", values) + Retired.MARK);
            }
        }
        return gone;
    }

    private boolean isGone(String question, String value) {
        return switch (question) {
            case "zone" -> form.zones().stream().noneMatch(zone -> zone.id().equals(value));
            case "pain-areas", "tingling-areas" ->
                form.drawings().stream().noneMatch(drawing -> drawing.areas().containsKey(value));
            case "red-flags" ->
                !value.equals(IntakeForm.NONE)
                        && catalogue.redFlags().stream()
                                .noneMatch(flag -> flag.id().equals(value));
            case "facts" ->
                !value.equals(IntakeForm.NONE)
                        && catalogue.locks().stream()
                                .flatMap(lock -> lock.facts().stream())
                                .noneMatch(fact -> fact.id().equals(value));
            default ->
                words.knows(question)
                        && form.question(question)
                                .map(asked -> !value.equals(IntakeForm.NONE)
                                        && asked.options().stream()
                                                .noneMatch(
                                                        option -> option.value().equals(value)))
                                .orElse(true)
                        && !question.startsWith("school:");
        };
    }

    /**
     * Red flags, locks as they were on the day of the examination, and decisions against them, in lines of plain text.
     */
    List<String> safety(IntakeState state, LocalDate day) {
        List<String> safety = new ArrayList<>();
        SafetyScreen screen = state.screen();
        screen.present().forEach(flag -> {
            SafetyScreen.Release release = screen.releases().get(flag.id());
            safety.add("Red flag: " + flag.sign() + ". Think of: " + flag.thinkOf() + ". "
                    + (release == null
                            ? flag.then() + ". Testing is suspended."
                            : "Released by " + people.name(release.by()) + " on " + Words.day(release.at()) + ": "
                                    + Typed.oneLine(release.reason())));
        });
        if (screen.state() == SafetyScreen.State.OPEN && screen.present().isEmpty()) {
            safety.add("Red flags asked: none");
        } else if (screen.state() == SafetyScreen.State.NOT_YET_ASKED) {
            safety.add("Red flags not all asked");
        }
        for (Lock lock : catalogue.locks()) {
            for (LockFinding told : state.facts()) {
                lock.facts().stream()
                        .filter(fact -> fact.id().equals(told.fact()))
                        .forEach(fact -> safety.add(lockInWords(lock, fact, told, day)));
            }
        }
        state.overrides()
                .forEach((test, override) -> safety.add(
                        "Done against a lock: " + catalogue.test(test).name() + ", by " + people.name(override.by())
                                + " on " + Words.day(override.at()) + ": " + Typed.oneLine(override.reason())));
        return safety.stream().map(line -> "- " + line).toList();
    }

    private static String lockInWords(Lock lock, Lock.Fact fact, LockFinding told, LocalDate day) {
        String since = told.on().map(on -> " (" + Words.day(on) + ")").orElse("");
        if (fact.lapsed(told.on(), day)) {
            return fact.label() + since + ": no longer a reason to lock tests on the day of the examination";
        }
        return fact.label() + since + ". Locked or lightened: " + lock.kinds().toLowerCase(Locale.UK)
                + fact.until(told.on())
                        .map(until -> ", until " + Words.day(until))
                        .orElse("");
    }
}
