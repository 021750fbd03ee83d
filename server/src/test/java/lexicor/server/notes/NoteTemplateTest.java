package lexicor.server.notes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class NoteTemplateTest {

    @ParameterizedTest
    @EnumSource(value = NoteLength.class, mode = EnumSource.Mode.EXCLUDE, names = "PATIENT")
    void what_ships_is_a_layout_with_the_caution_and_the_conclusion(NoteLength length) {
        String example = NoteTemplate.of(NoteTemplates.shipped(length)).example();
        assertThat(example)
                .contains(NoteBlock.CAUTION.example(), NoteBlock.CONCLUSION.example(), NoteBlock.CASE.example())
                .doesNotContain("{{")
                .doesNotContain("\n\n\n")
                .endsWith("\n");
    }

    @Test
    void what_a_patient_takes_home_is_in_everyday_words() {
        assertThat(NoteTemplate.of(NoteTemplates.shipped(NoteLength.PATIENT)).example())
                .contains(
                        NoteBlock.EVERYDAY.example(),
                        NoteBlock.EVERYDAY_CAUTION.example(),
                        NoteBlock.NEXT.example(),
                        NoteBlock.ADVICE.example(),
                        "You are seen again on 4 June 2026.")
                .doesNotContain("in 100", "{{", "\n\n\n")
                .endsWith("\n");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', quoteCharacter = '"', textBlock = """
            {{caution}} {{weather}}                         | 'weather' is no name; allowed: side, region
            {{caution}} {{#told}} {{told}}                  | told
            {{told}}                                        | {{caution}} is missing
            {{#told}}{{caution}}{{/told}}                   | outside every passage
            {{caution}} {{>other}}                          | '>other' is no name
            {{caution}} {{case.class.name}}                 | 'case.class.name' is no name
            {{caution}} {{#draft}}{{hidden}}{{/draft}}      | 'hidden' is no name
            """)
    void a_faulty_layout_is_refused_with_what_is_allowed(String text, String message) {
        assertThat(NoteTemplate.fault(text))
                .hasValueSatisfying(fault -> assertThat(fault).contains(message));
        assertThatThrownBy(() -> NoteTemplate.of(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void a_fault_names_its_line_and_length_is_bounded() {
        assertThat(NoteTemplate.fault("{{case}}\n{{caution}}\n{{wheather}}"))
                .hasValueSatisfying(fault -> assertThat(fault).startsWith("line 3: "));
        assertThat(NoteTemplate.fault(" ")).isPresent();
        assertThat(NoteTemplate.fault("{{caution}}" + "x".repeat(NoteTemplate.MOST)))
                .hasValueSatisfying(fault -> assertThat(fault).startsWith("allowed: 1 to 4000"));
    }

    @Test
    void passages_without_anything_to_say_are_left_out_and_words_are_never_taken_for_markup() {
        NoteTemplate template = NoteTemplate.of(
                "{{case}}\n{{#told}}\nTold\n{{told}}\n{{/told}}\n{{#signed}}\n{{signed}}\n{{/signed}}\n{{caution}}");
        assertThat(template.render(Map.of(NoteBlock.CASE, "A <b> & {{told}}", NoteBlock.CAUTION, "c")))
                .isEqualTo("A <b> & {{told}}\nc\n");
        assertThat(template.render(Map.of(NoteBlock.CASE, "A", NoteBlock.TOLD, "- x", NoteBlock.CAUTION, "c")))
                .isEqualTo("A\nTold\n- x\nc\n");
    }
}
