package lexicor.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;
import lexicor.core.source.SourceException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CaseFileTest {

    private static final PracticeGround GROUND = PracticeGrounds.SHIPPED;
    private static final CaseFile FILE = new CaseFile(GROUND);
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private static final String WRITTEN = """
            lexicor-practice: 1
            title: The lock keeper
            region: shoulder
            setting: specialist
            side: right
            seed: 12
            age: 58
            sex: woman
            leading-side: yes
            occupation: Lock keeper
            opening: It is my right shoulder.
            truth: [supraspinatus-tear]
            story:
              zone: shoulder
              onset: injury
              pain-now: 4
              facts: [shoulder-repair]
              weeks-ago: {shoulder-repair: 5}
            answers:
              sh-hawkins: {pain: familiar, site: outer-arm}
              sh-er-lag-0: {lag: 20}
            """;

    @Test
    void a_case_is_read_with_what_its_conditions_lie_within_and_what_nobody_said() {
        PracticeCase read = FILE.read("case.yaml", WRITTEN, DAY);
        assertThat(read.title()).isEqualTo("The lock keeper");
        assertThat(read.present())
                .contains(
                        ConditionId.of("supraspinatus-tear"),
                        ConditionId.of("cuff-tear-full"),
                        ConditionId.of("cuff-tear-any"));
        assertThat(read.tells("red-flags").orElseThrow().values()).containsExactly("none");
        assertThat(read.tells("fact-date:shoulder-repair").orElseThrow().on()).contains(DAY.minusWeeks(5));
        assertThat(read.fixed().get(TestId.of("sh-er-lag-0")))
                .containsExactly(new Part.Measured("lag", 20, "°", Part.Context.PLAIN));
    }

    @Test
    void what_is_written_is_read_back_the_same() {
        PracticeCase read = FILE.read("case.yaml", WRITTEN, DAY);
        assertThat(FILE.read("again", FILE.write(read), DAY)).isEqualTo(read);
        for (String region : GROUND.catalogue().routines().keySet()) {
            for (PracticeKind kind : PracticeKind.values()) {
                PracticeCase made = new CaseMaker(GROUND).make(region, Optional.of(kind), 31, DAY);
                PracticeCase again = FILE.read("again", FILE.write(made), DAY);
                assertThat(again.tells()).containsExactlyInAnyOrderElementsOf(made.tells());
                assertThat(again.present()).isEqualTo(made.present());
                assertThat(again.occupation()).isEqualTo(made.occupation());
                assertThat(again.seed()).isEqualTo(made.seed());
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "region: shoulder | region: knee | 3 | region 'knee' is not known; allowed: [elbow, hand, shoulder, wrist]",
                "age: 58 | age: 200 | 7 | field 'age' is 200",
                "sex: woman | sex: cat | 8 | 'cat' is not known here; allowed: woman, man",
                "truth: [supraspinatus-tear] | truth: [de-quervain] | 12 | condition 'de-quervain' is not one of the shoulder",
                "onset: injury | onset: yesterday | 15 | 'yesterday' is no answer to 'onset'",
                "onset: injury | colour: red | 15 | question 'colour' is not asked of the shoulder",
                "zone: shoulder | pain-worst: 5 | 13 | field 'zone' is missing",
                "pain-now: 4 | pain-now: 40 | 16 | pain-now is 40",
                "shoulder-repair: 5 | bleeding: 5 | 18 | fact 'bleeding' is not told",
                "sh-hawkins: | sh-nothing: | 20 | test 'sh-nothing' is not in the library",
                "site: outer-arm | site: elbow | 20 | 'elbow' is no answer for 'site' of sh-hawkins",
                "{lag: 20} | {lag: 900} | 21 | lag is 900",
                "{lag: 20} | {colour: red} | 21 | part 'colour' is not recorded of sh-er-lag-0",
                "seed: 12 | seed: many | 6 | seed is 'many'; allowed: a whole number",
                "lexicor-practice: 1 | lexicor-practice: 9 | 1 | field 'lexicor-practice' is 9",
                "leading-side: yes | leading-side: often | 9 | leading-side is 'often'; allowed: yes, no",
                "side: right | colour: red | 5 | field 'colour' is not known here"
            })
    void a_fault_names_file_and_line_and_what_is_allowed(String from, String to, int line, String says) {
        String faulty = WRITTEN.replace(from.strip(), to.strip());
        assertThatThrownBy(() -> FILE.read("case.yaml", faulty, DAY))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining(says.strip())
                .hasMessageContaining("case.yaml")
                .satisfies(fault -> assertThat(((SourceException) fault).line()).isBetween(line - 1, line + 1));
    }

    @Test
    void a_file_that_says_only_what_it_must_comes_back_equal() {
        PracticeCase read = PracticeGrounds.shoulder(52, "subacromial-pain", "onset: slowly, pain-now: 3", "");
        assertThat(read.occupation()).isEmpty();
        assertThat(FILE.read("again", FILE.write(read), read.day())).isEqualTo(read);
    }

    @Test
    void a_truth_that_needs_another_story_is_refused() {
        String slow =
                WRITTEN.replace("onset: injury", "onset: slowly").replace("supraspinatus-tear", "shoulder-fracture");
        assertThatThrownBy(() -> FILE.read("case.yaml", slow, DAY))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining("needs a story");
    }

    @Test
    void answers_that_contradict_each_other_are_refused_where_they_stand() {
        String text = WRITTEN.replace("onset: injury", "onset: slowly\n  mechanism: [point-fall]");
        assertThatThrownBy(() -> FILE.read("case.yaml", text, DAY))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining("does not go with");
    }

    @Test
    void none_stands_alone() {
        String text = WRITTEN.replace("facts: [shoulder-repair]", "facts: [none, shoulder-repair]");
        assertThatThrownBy(() -> FILE.read("case.yaml", text, DAY))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining("none alone");
    }
}
