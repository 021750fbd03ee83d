package lexicor.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.intake.IntakeForm;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PatientContentTest {

    private static final String SHIPPED = SourceNode.resourceText("/lexicor/practice/patients.yaml");

    /** Every line belongs to something that the intake asks, or that a test records. */
    @Test
    void every_line_is_that_of_an_answer_that_can_be_given() {
        PracticeGround ground = PracticeGrounds.SHIPPED;
        Set<String> told = ground.form().questions().stream()
                .flatMap(question -> question.options().stream().map(option -> question.id() + ":" + option.value()))
                .collect(Collectors.toSet());
        assertThat(ground.content().says().keySet()).isSubsetOf(told);
        Set<String> recorded = ground.catalogue().tests().values().stream()
                .flatMap(test -> test.parts().stream())
                .filter(PartDefinition.Choice.class::isInstance)
                .flatMap(part -> ((PartDefinition.Choice) part)
                        .options().stream().map(option -> part.key() + ":" + option.value()))
                .collect(Collectors.toSet());
        assertThat(ground.content().answers().keySet()).isSubsetOf(recorded);
        assertThat(ground.content().told().keySet())
                .isSubsetOf(ground.form().questions().stream()
                        .filter(IntakeForm.Question::many)
                        .map(IntakeForm.Question::id)
                        .toList());
        assertThat(ground.content().hurt()).hasSize(PatientContent.Hurt.values().length);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "from: 18, to: 80 | from: 18, to: 8 | field 'to' is 8",
                "plain: 8 | plain: -1 | field 'plain' is -1",
                "needed: 60 | wanted: 60 | field 'wanted' is not known here",
                "sex: woman, from: 18 | sex: anybody, from: 18 | 'anybody' is not known here",
                "seen-without: 0.2 | seen-without: 2 | field 'seen-without' is 2"
            })
    void a_fault_is_named_with_its_line(String from, String to, String says) {
        assertThatThrownBy(() -> PatientContent.read(SHIPPED.replace(from.strip(), to.strip())))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining("patients.yaml:")
                .hasMessageContaining(says.strip());
    }
}
