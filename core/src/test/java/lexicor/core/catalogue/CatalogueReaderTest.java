package lexicor.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.function.UnaryOperator;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueReaderTest {

    private static final UnaryOperator<String> SHIPPED = file -> SourceNode.resourceText("/lexicor/catalogue/" + file);

    @Test
    void the_shipped_catalogue_is_sound_and_keeps_its_order() {
        Catalogue catalogue = CatalogueReader.shipped();
        assertThat(catalogue.routine("shoulder").order())
                .extracting(TestId::value)
                .startsWith("sh-look", "sh-wall-push", "sh-rhythm", "sh-arc")
                .endsWith("sh-rom", "sh-apprehension", "sh-relocation", "sh-release")
                .hasSize(29);
        assertThat(catalogue.routine("shoulder").steps())
                .extracting(Routine.Step::position)
                .containsExactly("Standing", "Sitting", "Supine");
        assertThat(catalogue.routine("shoulder").steps().get(1).together())
                .singleElement()
                .satisfies(sheet -> assertThat(sheet.name()).isEqualTo("Landmarks"));
        assertThat(catalogue.conditionsOf("shoulder")).hasSize(23);
        assertThat(catalogue.revision())
                .isEqualTo(CatalogueReader.shipped().revision())
                .hasSize(12);
    }

    @Test
    void the_windows_that_make_a_painful_arc_positive_are_known_to_whoever_draws_it() {
        assertThat(CatalogueReader.shipped().test(TestId.of("sh-arc")).positiveWindows("angle-worst"))
                .extracting(Rule.Window::from, Rule.Window::to)
                .containsExactly(tuple(60.0, 120.0), tuple(150.0, 180.0));
        assertThat(CatalogueReader.shipped().test(TestId.of("sh-neer")).positiveWindows("pain"))
                .isEmpty();
    }

    @ParameterizedTest(name = "{0}: {1} -> {2}")
    @CsvSource(delimiter = '|', textBlock = """
            tests/sh-neer.yaml    | value: familiar}     | value: familar}           | 'familar' is not an answer for 'pain'; allowed: none, familiar, other
            tests/sh-neer.yaml    | is: {part: pain      | is: {part: ache           | part 'ache' is not recorded by this test; allowed: pain, site, quality
            tests/sh-neer.yaml    | provocation: 2       | provocation: 4            | field 'provocation' is 4.0; allowed: 0.0 to 3.0
            tests/sh-neer.yaml    | provocation: 2       | provocaton: 2             | field 'provocaton' is not known here
            tests/sh-neer.yaml    | seconds: 15          | seconds: quick            | field 'seconds' is 'quick'; allowed: a number
            tests/sh-neer.yaml    | id: sh-neer          | id: Sh Neer               | is not a name; allowed: lower-case letters, digits and hyphens
            tests/sh-neer.yaml    | condition: cuff-tear-full | condition: cuff-ter  | condition 'cuff-ter' is not known; allowed: acj
            tests/sh-neer.yaml    | by: [pain]           | by: [ache]                | criterion 'ache' is not known; allowed: pain
            tests/sh-neer.yaml    | voids: negatives     | voids: some               | 'some' is not known here; allowed: negatives, everything
            tests/sh-neer.yaml    | counts: familiar     | counts: strength {strength}      | part 'strength' is not recorded by this test
            tests/sh-arc.yaml     | from: 60             | form: 60                  | field 'form' is not known here; allowed: from, part, side, to
            tests/sh-arc.yaml     | part: angle-worst, from | part: pain, from       | part 'pain' is not measured; allowed: a part with a unit
            tests/sh-hawkins.yaml | id: sh-hawkins       | id: sh-neer               | test 'sh-neer' stands in the catalogue twice
            tests/sh-neer.yaml    | positions: [Sitting  | positions: []  # [Sitting | field 'positions' is missing
            tests/shoulder-first.yaml | 'change: less, by: 1}' | 'change: smaller, by: 1}' | 'smaller' is not known here; allowed: less, same, more
            tests/shoulder-first.yaml | '{part: pain-level, repeats: 2}' | '{part: pain-level}' | part 'pain-level' is taken once
            tests/shoulder-first.yaml | 'question: positive-apprehension' | 'question: positive' | question 'positive' is not known; allowed: adding-up, subacromial-set, cuff-tear-set, positive-apprehension
            tests/shoulder-first.yaml | 'apprehension-or-pain: apprehension-or-pain}' | 'apprehension-or-ache: pain}' | is no answer to 'positive-apprehension'
            tests/shoulder-first.yaml | '{release-after-relocation: done}' | '{release-after-relocation: never}' | 'never' is no answer to 'release-after-relocation'; allowed: not-done, done
            tests/shoulder-first.yaml | 'criterion: apprehension-relieved, because' | 'criterion: relieved, because' | criterion 'relieved' is not known
            tests/shoulder-first.yaml | 'rotation: 80'       | 'rotation: 800'           | field 'rotation' is 800.0; allowed: -100.0 to 120.0
            tests/shoulder-first.yaml | 'by: [pain-relieved]' | 'by: [any-relieve]'      | criterion 'any-relieve' is not known
            tests/shoulder-first.yaml | 'by: [top-less-palm-up, top-pain]' | 'by: [top-pain]' | criterion 'top-less-palm-up' of 'sh-active-compression' is read for no condition
            tests/wrist-first.yaml | 'position: pronation'   | 'position: pronated'      | position 'pronated' is not one that this test records in
            tests/wrist-first.yaml | 'side-difference: {part: shift' | 'side-difference: {part: end' | part 'end' is not measured
            tests/wrist-first.yaml | 'at-context: {position: neutral, rule: {is: {part: end, value: firm}}}' | 'is: {part: end, value: firm}' | part 'end' is recorded by position; allowed: within at-context
            patterns-shoulder.yaml | 'test: sh-hawkins, criterion: pain' | 'test: sh-hawkin, criterion: pain' | test 'sh-hawkin' is not known
            conditions-wrist.yaml | 'only-if: [after-fall]' | 'only-if: [after-fal]'  | clue 'after-fal' is not known
            tests/shoulder-instability.yaml | 'reach: {elevation: 100, plane: -10, rotation: 90}' | '' | 'sh-posterior-impingement' may hurt and does not say where it takes the arm
            tests/shoulder-instability.yaml | '      position: {elevation-from: 60, elevation-to: 180, rotation-from: 30}' | '' | a stop that ends a position says which
            clusters.yaml         | 'block: sensitive}'      | 'block: sensible}'        | block 'sensible' has no number in 'at-most'
            clusters.yaml         | 'clue: age-65'           | 'clue: age-66'            | clue 'age-66' is not known
            clusters.yaml         | '{test: sh-jerk, criterion: back-pain}' | '{test: sh-jerk}' | field 'criterion' is missing
            groups.yaml           | 'rho: 0.6'               | 'rho: 1'                  | field 'rho' is 1.0; allowed: 0.0 to 0.95
            groups.yaml           | 'learn: [cl-cuff-tear-3]' | 'learn: [cl-cuff-tear]'  | cluster 'cl-cuff-tear' is not known
            locks.yaml            | 'sh-release, sh-fulcrum, sh-hyperabduction' | 'sh-releas' | test 'sh-releas' is not known
            locks.yaml            | 'positions: [Prone]'     | 'positions: [Prones]'     | position 'Prones' is one of no test; allowed: [
            locks.yaml            | ', positions: [Prone]'   | ''                        | field 'tests' is empty
            locks.yaml            | 'positions: [Prone]'     | 'positions: [Prone], weeks: 6' | field 'positions' stands beside 'weeks'
            schools.yaml          | 'decides: force'         | ''                        | nothing depends on question 'force-of-three'
            schools.yaml          | 'decides: force'         | 'decides: mood'           | field 'decides' is 'mood'; allowed: force, weighing
            clusters.yaml         | 'is: pain-too}'          | 'is: pain}'               | 'pain' is no answer to 'subacromial-count'
            schools.yaml          | 'usual: apprehension'    | 'usual: apprehensive'     | 'apprehensive' is no answer to 'positive-apprehension'
            clusters.yaml         | 'question: cuff-tear-set, is: weakness' | 'question: cuff-tear-set, is: strength' | 'strength' is no answer to 'cuff-tear-set'
            tests/shoulder-labrum.yaml | 'same-as: pain'      | 'same-as: ache'           | criterion 'ache' is not known
            tests/shoulder-labrum.yaml | 'same-as: pain'      | 'same-as: groove-pain'    | 'same-as' names the criterion itself
            ways.csv              | 'sh-arc,scapular-plane'  | 'sh-ark,scapular-plane'  | test 'sh-ark' is not in the catalogue
            ways.csv              | 'sh-arc,scapular-plane'  | 'sh-arc,active-abduction' | way 'active-abduction' of 'sh-arc' stands here twice
            ways.csv              | 'sh-arc,scapular-plane'  | 'sh-arc,usual'           | way is 'usual'; allowed: small letters
            ways.csv              | 'same: plane hardly'     | 'similar: plane hardly'  | else is 'similar: plane hardly moves the painful part'; allowed: same, wider or note
            names.csv             | 'sh-neer,Neer,'          | 'sh-hawkins,Neer,'       | test 'sh-hawkins' stands here twice
            names.csv             | 'test,usual,also'        | 'test,usually,also'      | the columns are [test, usually
            tests/sh-neer.yaml    | 'short: Forward flexion' | 'short: Painful arc'     | short name 'Painful arc' is that of 'sh-arc' too
            ways.csv              | 'test,way,label'         | 'test,way,name'          | the columns are [test, way, name
            shared-names.yaml     | 'name: crank test'       | 'name: cranks'            | 'cranks' explains
            thresholds.yaml       | 'least-bits: 0.01'       | 'least-bits: 2'           | field 'least-bits' is 2.0; allowed: 0.0 to 1.0
            thresholds.yaml       | 'act: 0.75'              | 'act: 0.2'                | field 'act' is 0.2; allowed: 0.25 to 0.999
            parts.yaml            | 'from: [tracked-nerve, from-landmark]' | 'from: [tracked-nerf]' | part 'tracked-nerf' is not known
            parts.yaml            | 'from: [tracked-nerve, from-landmark]' | 'from: [angle-worst]' | 'angle-worst' is a measure; allowed: a part with options
            parts.yaml            | 'like: distance'         | 'like: distanse'          | part 'distanse' is not known
            clusters.yaml         | criterion: weakness  | criterion: weak           | criterion 'weak' is not known; allowed: pain
            clusters.yaml         | from: 3              | from: 2                   | a count of 2 falls into two levels
            clusters.yaml         | to: 2                | to: 1                     | the levels leave out a count
            routines.yaml         | sh-neer              | sh-near                   | test 'sh-near' is not known
            routines.yaml         | 'first: [el-grip-diff]' | 'first: [el-grips]'     | test 'el-grips' is not known
            routines.yaml         | 'name: Look, tests: [sh-look' | 'name: Look, tests: [sh-rom' | a sheet gathers tests of its own step
            tests/shoulder-first.yaml | 'spares: [sh-relocation' | 'spares: [sh-relocate' | test 'sh-relocate' is not known
            tests/shoulder-first.yaml | 'when: {is: {part: relief, value: none}}' | 'when: {not: {is: {part: relief, value: none}}}' | allowed: 'is' or 'in' about one part of this side
            tests/shoulder-first.yaml | 'ends: position' | 'ends: visit' | 'visit' is not known here; allowed: hold, joint
            tests/shoulder-cuff.yaml | 'nothing: {lag: 0}' | 'nothing: {lag: 121}' | 'lag' is 121.0; allowed: 0.0 to 120.0
            tests/sh-er-resist.yaml | 'pain: none, strength: weak}' | 'pain: nil, strength: weak}' | 'nil' is not an answer for 'pain'
            tests/hand-nerves.yaml | 'share: {part: depth, of: width' | 'share: {part: depth, of: height' | part 'height' is not recorded by this test
            tests/elbow-move-load.yaml | 'share: {part: force-straight, of: force-bent' | 'share: {part: force-straight, of: pain' | part 'pain' has a list of answers
            tests/elbow-landmarks.yaml | 'view: elbow-outer' | 'view: elbow-front'      | 'elbow-front' is not known here; allowed: back, palm, elbow-outer
            tests/elbow-landmarks.yaml | 'x: 52, y: 57'      | 'x: 152, y: 57'          | field 'x' is 152.0; allowed: 0.0 to 100.0
            conditions-shoulder.yaml | first-contact: 0.65 | first-contact: 65       | field 'first-contact' is 65.0; allowed: 0.001 to 0.999
            conditions-shoulder.yaml | within: cuff-tear-full | within: cuff         | condition 'cuff' is not known
            """)
    void a_fault_is_named_with_file_line_and_what_is_allowed(String file, String sound, String faulty, String message) {
        String text = SHIPPED.apply(file);
        assertThat(text).contains(sound);
        int line = (int) text.substring(0, text.indexOf(sound)).lines().count();
        assertThatThrownBy(() -> CatalogueReader.read(name -> name.equals(file)
                        ? text.replaceFirst(java.util.regex.Pattern.quote(sound), faulty)
                        : SHIPPED.apply(name)))
                .isInstanceOf(SourceException.class)
                .hasMessageContaining(message)
                .satisfies(fault -> assertThat(((SourceException) fault).file())
                        .isEqualTo(file.equals("shared-names.yaml") ? "index.yaml" : file))
                .satisfies(fault -> assertThat(((SourceException) fault).line())
                        .as("near line %d", line)
                        .isBetween(Math.max(1, line - 45), file.equals("shared-names.yaml") ? 100 : line + 16));
    }

    @Test
    void text_that_is_not_yaml_is_named_with_its_line() {
        assertThatThrownBy(() -> SourceNode.parse("broken.yaml", "a: 1\nb: [1, 2\n"))
                .isInstanceOf(SourceException.class)
                .hasMessageStartingWith("broken.yaml:")
                .hasMessageContaining("not readable as YAML");
    }

    @Test
    void unknown_is_neither_yes_nor_no() {
        assertThat(Truth.UNKNOWN.and(Truth.NO)).isEqualTo(Truth.NO);
        assertThat(Truth.UNKNOWN.and(Truth.YES)).isEqualTo(Truth.UNKNOWN);
        assertThat(Truth.UNKNOWN.or(Truth.YES)).isEqualTo(Truth.YES);
        assertThat(Truth.UNKNOWN.or(Truth.NO)).isEqualTo(Truth.UNKNOWN);
        assertThat(Truth.UNKNOWN.not()).isEqualTo(Truth.UNKNOWN);
    }

    @Test
    void every_condition_has_everyday_words_that_stand_within_a_sentence() {
        assertThat(CatalogueReader.shipped().conditions().values())
                .allSatisfy(condition -> assertThat(condition.everyday())
                        .as(condition.name())
                        .matches("(a|an|the|too|pain|tissue|nerves|irritated|worn|tendons|bones) .*[a-z]")
                        .hasSizeLessThan(90));
        assertThat(CatalogueReader.shipped().conditions().values().stream()
                        .map(Condition::everyday)
                        .distinct())
                .as("no two are called the same")
                .hasSameSizeAs(CatalogueReader.shipped().conditions().values());
    }
}
