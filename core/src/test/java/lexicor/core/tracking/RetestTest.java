package lexicor.core.tracking;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.ForceTries;
import lexicor.core.examination.Part;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeForm;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RetestTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final NoiseTable NOISE = NoiseTable.shipped(CATALOGUE, IntakeForm.shipped(CATALOGUE));

    private static Retest.Visit visit(String test, Part... parts) {
        return new Retest.Visit(
                parts.length == 0 ? Optional.empty() : Optional.of(attempt(test, Side.RIGHT, parts)),
                ForceTries.Counts.BEST);
    }

    private static Retest compare(String test, Retest.Visit before, Retest.Visit now) {
        return Retest.of(CATALOGUE.test(TestId.of(test)), before, now, NOISE);
    }

    private static Part measured(String key, double value, String unit) {
        return new Part.Measured(key, value, unit, Part.Context.PLAIN);
    }

    private static Part attempted(double value, int repeat) {
        return new Part.Measured("force", value, "N", new Part.Context("", repeat, ""));
    }

    /** The spans are those of the table of measurement noise; a difference of exactly the noise is no change. */
    @ParameterizedTest(name = "{0} {1}: {3} then {4} is {5}")
    @CsvSource({
        "sh-rom, flexion, °, 120, 135, WITHIN_NOISE",
        "sh-rom, flexion, °, 120, 136, BETTER",
        "sh-rom, flexion, °, 136, 120, WORSE",
        "el-rom, flexion, °, 130, 137, WITHIN_NOISE",
        "el-rom, flexion, °, 130, 138, BETTER",
        "el-rom, extension-lack, °, 20, 12, BETTER",
        "wr-rom, supination, °, 60, 68, WITHIN_NOISE",
        "wr-rom, supination, °, 60, 69, BETTER",
        "sh-behind-back, level, levels, 12, 10, WITHIN_NOISE",
        "sh-behind-back, level, levels, 12, 9, BETTER",
        "sh-belly-press, force, N, 80, 100, WITHIN_NOISE",
        "sh-belly-press, force, N, 80, 101, BETTER",
        "ha-grip, force, N, 200, 258, WITHIN_NOISE",
        "ha-grip, force, N, 200, 259, BETTER",
        "ha-grip, force, N, 400, 499, WITHIN_NOISE",
        "ha-grip, force, N, 400, 501, BETTER",
        "ha-pinch, force, N, 40, 49, WITHIN_NOISE",
        "ha-pinch, force, N, 40, 51, BETTER",
        "wr-phalen, onset, s, 20, 28, WITHIN_NOISE",
        "wr-phalen, onset, s, 20, 29, BETTER",
        "wr-phalen, onset, s, 29, 20, WORSE",
        "sh-apprehension, angle, °, 70, 80, WITHIN_NOISE",
        "sh-apprehension, angle, °, 70, 81, BETTER",
        "wr-tinel-track, distance, mm, 90, 95, WITHIN_NOISE",
        "wr-tinel-track, distance, mm, 90, 96, BETTER",
        "sh-anterior-drawer, glide, % of head, 20, 60, NO_NOISE_KNOWN",
        "sh-arc, angle-start, °, 60, 100, NO_NOISE_KNOWN"
    })
    void a_change_counts_beyond_the_noise_only(
            String test, String part, String unit, double before, double now, Change.Verdict verdict) {
        assertThat(compare(test, visit(test, measured(part, before, unit)), visit(test, measured(part, now, unit)))
                        .changes())
                .singleElement()
                .satisfies(change -> assertThat(change.verdict()).isEqualTo(verdict));
    }

    /** Two nerves of one visit, the first measured from another landmark today. */
    @Test
    void each_nerve_is_a_measure_of_its_own() {
        String test = "wr-tinel-track";
        Part median = chosen("tracked-nerve", "median");
        Part ulnar = chosen("second-nerve", "ulnar");
        Part pisiform = chosen("second-landmark", "pisiform");
        assertThat(compare(
                                test,
                                visit(
                                        test,
                                        median,
                                        chosen("from-landmark", "wrist-crease"),
                                        measured("distance", 40, "mm"),
                                        ulnar,
                                        pisiform,
                                        measured("second-distance", 60, "mm")),
                                visit(
                                        test,
                                        median,
                                        chosen("from-landmark", "scar"),
                                        measured("distance", 52, "mm"),
                                        ulnar,
                                        pisiform,
                                        measured("second-distance", 72, "mm")))
                        .changes())
                .extracting(Change::label, Change::verdict, Change::because)
                .containsExactly(
                        tuple(
                                "Furthest tingling point",
                                Change.Verdict.NOT_COMPARABLE,
                                "measured from scar, last time wrist crease"),
                        tuple("Second nerve, furthest tingling point", Change.Verdict.BETTER, ""));
    }

    @Test
    void of_several_tries_the_best_or_the_mean_counts() {
        Retest.Visit before = visit("ha-grip", attempted(200, 1), attempted(230, 2), attempted(170, 3));
        assertThat(compare("ha-grip", before, visit("ha-grip", attempted(300, 1)))
                        .changes())
                .singleElement()
                .satisfies(change -> assertThat(change.before()).hasValue(230));
        Retest.Visit mean = new Retest.Visit(before.attempt(), ForceTries.Counts.MEAN);
        assertThat(compare("ha-grip", mean, mean).changes())
                .singleElement()
                .satisfies(change -> assertThat(change.before()).hasValue(200));
    }

    @Test
    void each_position_is_a_measure_of_its_own() {
        Part neutral = new Part.Measured("shift", 8, "mm", new Part.Context("neutral", 1, ""));
        Part pronation = new Part.Measured("shift", 6, "mm", new Part.Context("pronation", 1, ""));
        Retest retest = compare(
                "wr-druj-ballottement",
                visit("wr-druj-ballottement", neutral, pronation),
                visit("wr-druj-ballottement", neutral));
        assertThat(retest.changes())
                .extracting(Change::label, Change::because)
                .containsExactly(tuple("Shift, neutral", ""), tuple("Shift, pronation", "not measured this time"));
    }

    @Test
    void what_was_guarded_or_measured_from_elsewhere_is_not_compared() {
        assertThat(compare(
                                "sh-rom",
                                visit("sh-rom", degrees("flexion", 90)),
                                visit("sh-rom", degrees("flexion", 150), chosen("quality", "guarded")))
                        .changes())
                .singleElement()
                .satisfies(change -> {
                    assertThat(change.verdict()).isEqualTo(Change.Verdict.NOT_COMPARABLE);
                    assertThat(change.because()).endsWith("this time");
                });
        assertThat(compare(
                                "wr-tinel-track",
                                visit(
                                        "wr-tinel-track",
                                        measured("distance", 90, "mm"),
                                        chosen("from-landmark", "wrist-crease")),
                                visit(
                                        "wr-tinel-track",
                                        measured("distance", 120, "mm"),
                                        chosen("from-landmark", "scar")))
                        .changes())
                .singleElement()
                .satisfies(
                        change -> assertThat(change.because()).isEqualTo("measured from scar, last time wrist crease"));
    }

    @Test
    void what_is_not_done_yet_says_so_and_a_hold_without_onset_says_how_long() {
        Retest open = compare("sh-rom", visit("sh-rom", degrees("flexion", 90)), visit("sh-rom"));
        assertThat(open.done()).isFalse();
        assertThat(open.changes())
                .singleElement()
                .satisfies(change -> assertThat(change.because()).isEqualTo("not done yet"));
        assertThat(compare(
                                "wr-phalen",
                                visit("wr-phalen", measured("onset", 20, "s"), measured("held-for", 20, "s")),
                                visit("wr-phalen", measured("held-for", 60, "s")))
                        .changes())
                .singleElement()
                .satisfies(change -> {
                    assertThat(change.verdict()).isEqualTo(Change.Verdict.BETTER);
                    assertThat(change.because()).isEqualTo("nothing came on within 60 s this time");
                });
    }

    @Test
    void the_clinics_own_noise_takes_the_place_of_the_estimate() {
        NoiseTable own = NOISE.with(noise -> noise.id().equals("shoulder-range") ? noise.with(5, 0) : noise);
        assertThat(Retest.of(
                                CATALOGUE.test(TestId.of("sh-rom")),
                                visit("sh-rom", degrees("flexion", 120)),
                                visit("sh-rom", degrees("flexion", 126)),
                                own)
                        .changes())
                .singleElement()
                .satisfies(change -> assertThat(change.verdict()).isEqualTo(Change.Verdict.BETTER));
        assertThat(NOISE.of("pain-now"))
                .hasValueSatisfying(
                        noise -> assertThat(noise.least(7, 4, "of 10")).isEqualTo(2));
    }
}
