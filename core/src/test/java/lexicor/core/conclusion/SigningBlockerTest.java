package lexicor.core.conclusion;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.examination.Answer;
import lexicor.core.examination.History;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import org.junit.jupiter.api.Test;

class SigningBlockerTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final IntakeFolder FOLDER = new IntakeFolder(CATALOGUE, IntakeForm.shipped(CATALOGUE));
    private static final History NOTHING = history();
    private static final Answer NO_FLAGS = Answer.of("red-flags", "none");
    private static final Answer STILL_OPEN = Answer.of("working", "open");

    private static List<SigningBlocker> hindrances(History history, Answer... answers) {
        List<History.Heard> heard = new ArrayList<>();
        Arrays.stream(answers)
                .forEach(answer ->
                        heard.add(new History.Heard(answer, "a.moor", Instant.EPOCH.plusSeconds(heard.size()))));
        IntakeAnswers told = IntakeAnswers.of(heard);
        return SigningBlocker.of(
                FOLDER.fold("shoulder", told, OptionalInt.empty(), LocalDate.of(2026, 3, 2)),
                history,
                Conclusion.of(told),
                CATALOGUE);
    }

    @Test
    void nothing_hinders_a_screened_and_concluded_examination_even_without_a_finding() {
        assertThat(hindrances(NOTHING, NO_FLAGS, STILL_OPEN)).isEmpty();
        assertThat(hindrances(NOTHING, NO_FLAGS, Answer.of("working", "acj"))).isEmpty();
    }

    @Test
    void flags_that_were_not_asked_hinder() {
        assertThat(hindrances(NOTHING, STILL_OPEN)).singleElement().satisfies(found -> {
            assertThat(found.kind()).isEqualTo(SigningBlocker.Kind.FLAGS_NOT_ASKED);
            assertThat(found.then()).contains("intake");
        });
    }

    @Test
    void a_flag_that_is_present_hinders_until_it_is_released() {
        assertThat(hindrances(NOTHING, Answer.of("red-flags", "cardiac", "none"), STILL_OPEN))
                .singleElement()
                .satisfies(found -> assertThat(found.kind()).isEqualTo(SigningBlocker.Kind.FLAG_PRESENT));
        assertThat(hindrances(
                        NOTHING,
                        Answer.of("red-flags", "cardiac", "none"),
                        Answer.because("release:cardiac", "Seen by the cardiologist, clear"),
                        STILL_OPEN))
                .isEmpty();
    }

    @Test
    void a_lock_hinders_only_where_the_test_was_done_and_nobody_said_why() {
        Answer brittle = Answer.of("facts", "osteoporosis");
        History done = history(attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar")));
        History leftOut = history(attempt("sh-neer", Side.RIGHT, chosen("quality", "skipped")));
        assertThat(hindrances(NOTHING, NO_FLAGS, STILL_OPEN, brittle))
                .as("not done")
                .isEmpty();
        assertThat(hindrances(leftOut, NO_FLAGS, STILL_OPEN, brittle))
                .as("left out")
                .isEmpty();
        assertThat(hindrances(done, NO_FLAGS, STILL_OPEN, brittle))
                .singleElement()
                .satisfies(found -> {
                    assertThat(found.kind()).isEqualTo(SigningBlocker.Kind.DONE_UNDER_LOCK);
                    assertThat(found.test()).isEqualTo("sh-neer");
                    assertThat(found.what()).contains(" was done and is locked: ");
                });
        assertThat(hindrances(
                        done,
                        NO_FLAGS,
                        STILL_OPEN,
                        brittle,
                        Answer.because("override:sh-neer", "Lightly, agreed with the patient")))
                .isEmpty();
    }

    @Test
    void what_matters_for_safety_is_named_first() {
        assertThat(hindrances(
                        history(attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar"))),
                        Answer.of("facts", "osteoporosis")))
                .extracting(SigningBlocker::kind)
                .containsExactly(
                        SigningBlocker.Kind.FLAGS_NOT_ASKED,
                        SigningBlocker.Kind.DONE_UNDER_LOCK,
                        SigningBlocker.Kind.NOT_CONCLUDED);
    }
}
