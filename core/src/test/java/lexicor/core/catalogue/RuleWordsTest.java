package lexicor.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RuleWordsTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(delimiter = '|', textBlock = """
            sh-neer              | pain                | Pain “Familiar pain”
            sh-er-lag-0          | lag-5               | Lag 5 to 120°
            sh-release           | apprehension-or-pain | Apprehension or “Grabs” or Pain “Familiar pain”
            sh-belly-press       | wrist-angle         | Wrist bend at least 10° beyond the other side
            sh-active-compression | deep-less-palm-up  | Pain “Familiar pain” and Where “Deep” and (Palm up “Gone” or “Less” or Pain 0 to 10 less by 1 the second time)
            sh-rom               | stiff               | (External rotation, passive 0 to 29° or External rotation, passive 0 to 50 % of the other side) and Flexion, passive at least 15° short of the other side
            """)
    void a_rule_reads_as_a_clinician_would_say_it(String test, String criterion, String words) {
        ExaminationTest known = CATALOGUE.test(TestId.of(test));
        assertThat(new RuleWords(known, CATALOGUE.schools())
                        .say(known.criterion(CriterionId.of(criterion))
                                .orElseThrow()
                                .positive()))
                .isEqualTo(words);
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(delimiter = '|', textBlock = """
            sh-er-lag-0  | lag-5             | lag of so many degrees
            sh-sulcus    | gap-20            | a gap of so many mm, with the familiar feeling or beyond the other side
            sh-full-can  | pain-or-weakness  | Pain “Familiar pain” or Strength “Pain stops it” or “Weak”
            sh-neer      | pain              | familiar pain at the end of elevation
            """)
    void what_counts_is_said_before_anything_is_recorded(String test, String criterion, String words) {
        ExaminationTest known = CATALOGUE.test(TestId.of(test));
        assertThat(new RuleWords(known, CATALOGUE.schools())
                        .counts(known.criterion(CriterionId.of(criterion)).orElseThrow()))
                .isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"wr-druj-ballottement, lax-any", "wr-druj-ballottement, pain-firm"})
    void positions_and_schools_are_named(String test, String criterion) {
        ExaminationTest known = CATALOGUE.test(TestId.of(test));
        assertThat(new RuleWords(known, CATALOGUE.schools())
                        .say(known.criterion(CriterionId.of(criterion))
                                .orElseThrow()
                                .negative()))
                .containsAnyOf("in neutral End point “Firm”", "Pain “No pain”");
    }
}
