package lexicor.core.drills;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.practice.PracticeGround;
import lexicor.core.practice.PracticeGrounds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DrillMakerTest {

    private static final PracticeGround GROUND = PracticeGrounds.SHIPPED;
    private static final DrillMaker MAKER = new DrillMaker(GROUND);
    private static final long SEEDS = 3;

    /** Of every item the answer that it says is right is marked right, and another one wrong. */
    @ParameterizedTest
    @EnumSource(Drill.Kind.class)
    void what_is_said_to_be_right_is_marked_right_and_something_else_is_not(Drill.Kind kind) {
        for (String region : GROUND.catalogue().routines().keySet()) {
            assertThat(MAKER.items(kind, region)).as("%s %s", kind, region).isNotEmpty();
            for (Drill.Item item : MAKER.items(kind, region)) {
                for (long seed = 0; seed < SEEDS; seed++) {
                    Drill drill = MAKER.make(item, seed).orElseThrow();
                    assertThat(MAKER.make(item, seed)).contains(drill);
                    Drill.Marked first = MAKER.mark(item, seed, some(drill));
                    Drill.Marked right = MAKER.mark(item, seed, new Drill.Answer(first.should(), first.chance()));
                    assertThat(right.right()).as("%s %d: %s", item, seed, first).isTrue();
                    assertThat(first.because()).isNotEmpty().noneMatch(String::isBlank);
                    if (drill.start().isPresent()) {
                        double far = first.chance().getAsDouble() < 0.5 ? 0.95 : 0.05;
                        assertThat(MAKER.mark(item, seed, new Drill.Answer(List.of(), OptionalDouble.of(far)))
                                        .right())
                                .isFalse();
                    } else if (kind != Drill.Kind.ORDER) {
                        long of = seed;
                        assertThat(drill.options().stream()
                                        .filter(option -> MAKER.mark(item, of, answer(option.value()))
                                                .right()))
                                .as("%s %d", item, seed)
                                .hasSize(1);
                    }
                }
            }
        }
    }

    private static Drill.Answer answer(String value) {
        return new Drill.Answer(List.of(value), OptionalDouble.empty());
    }

    private static Drill.Answer some(Drill drill) {
        return drill.start().isPresent()
                ? new Drill.Answer(List.of(), OptionalDouble.of(0.4))
                : new Drill.Answer(
                        drill.item().kind() == Drill.Kind.ORDER
                                ? drill.options().stream()
                                        .map(Drill.Option::value)
                                        .toList()
                                : List.of(drill.options().get(0).value()),
                        OptionalDouble.empty());
    }

    /** Odds times likelihood ratio, worked out by hand from the figures in use. */
    @Test
    void a_chance_moves_by_the_likelihood_ratio_in_use() {
        Drill.Item item = MAKER.items(Drill.Kind.MOVE, "shoulder").stream()
                .filter(each -> each.about().equals("sh-arc:subacromial-pain:positive"))
                .findFirst()
                .orElseThrow();
        Drill drill = MAKER.make(item, 4).orElseThrow();
        var belief = GROUND.weighing()
                .evidence()
                .inUse(
                        lexicor.core.catalogue.TestId.of("sh-arc"),
                        lexicor.core.catalogue.ConditionId.of("subacromial-pain"),
                        GROUND.catalogue().usualSchools())
                .orElseThrow()
                .belief();
        double start = drill.start().orElseThrow();
        double odds = start / (1 - start) * belief.sensitivity() / (1 - belief.specificity());
        assertThat(MAKER.mark(item, 4, new Drill.Answer(List.of(), OptionalDouble.of(0.5)))
                        .chance()
                        .orElseThrow())
                .isCloseTo(odds / (1 + odds), within(1e-12));
    }

    @Test
    void an_order_that_frightens_first_is_wrong_and_says_why() {
        List<Drill.Item> items = MAKER.items(Drill.Kind.ORDER, "shoulder");
        long wrong = items.stream()
                .filter(item -> {
                    Drill drill = MAKER.make(item, 0).orElseThrow();
                    List<String> should = new java.util.ArrayList<>(
                            MAKER.mark(item, 0, some(drill)).should());
                    Collections.reverse(should);
                    Drill.Marked marked = MAKER.mark(item, 0, new Drill.Answer(should, OptionalDouble.empty()));
                    return !marked.right() && !marked.because().isEmpty();
                })
                .count();
        assertThat(wrong).isGreaterThan(items.size() / 2);
    }

    @Test
    void what_cannot_be_an_answer_is_refused_with_what_can() {
        Drill.Item read = MAKER.items(Drill.Kind.READ, "elbow").get(0);
        assertThatThrownBy(() -> MAKER.mark(read, 1, answer("perhaps")))
                .hasMessageContaining("perhaps")
                .hasMessageContaining("positive");
        Drill.Item move = MAKER.items(Drill.Kind.MOVE, "elbow").get(0);
        assertThatThrownBy(() -> MAKER.mark(move, 1, new Drill.Answer(List.of(), OptionalDouble.of(1))))
                .hasMessageContaining("within 0 and 1");
        Drill.Item order = MAKER.items(Drill.Kind.ORDER, "elbow").get(0);
        String one = MAKER.make(order, 1).orElseThrow().options().get(0).value();
        assertThatThrownBy(() -> MAKER.mark(order, 1, answer(one))).hasMessageContaining("each of the tests once");
        Drill.Item gone = new Drill.Item(Drill.Kind.READ, "elbow", "no-test:no-condition");
        assertThat(MAKER.make(gone, 1)).isEqualTo(Optional.empty());
        assertThatThrownBy(() -> MAKER.mark(gone, 1, answer("positive"))).hasMessageContaining("no-test");
    }

    @Test
    void an_item_known_comes_later_and_later_and_one_missed_at_once() {
        LocalDate today = LocalDate.of(2026, 3, 2);
        LeitnerBox box = LeitnerBox.first(today);
        assertThat(box.due(today)).isTrue();
        int[] days = {1, 2, 4, 8, 16, 32, 32};
        for (int gap : days) {
            box = box.after(true, today);
            assertThat(box.due()).isEqualTo(today.plusDays(gap));
            assertThat(box.due(today)).isFalse();
            today = box.due();
        }
        assertThat(box.after(false, today)).isEqualTo(new LeitnerBox(0, today));
        assertThatThrownBy(() -> new LeitnerBox(7, LocalDate.EPOCH)).hasMessageContaining("0 to 6");
    }
}
