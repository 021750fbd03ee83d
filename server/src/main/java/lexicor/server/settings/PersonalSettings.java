package lexicor.server.settings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.server.problems.BadInput;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What persons decided for themselves alone: how the page calls things and which tests they are proposed, never what is
 * weighed or stored.
 */
@Service
public class PersonalSettings {

    /** Begins the name of a setting that a test is not one of theirs. */
    static final String NOT_MINE = "not-mine.";

    private static final String YES = "yes";

    private final PersonalSettingRows rows;
    private final Catalogue catalogue;

    PersonalSettings(PersonalSettingRows rows, Catalogue catalogue) {
        this.rows = rows;
        this.catalogue = catalogue;
    }

    /** Ids of the tests that are not somebody's, by what they decided; in order. */
    static List<String> notMine(Map<String, String> decided) {
        return decided.keySet().stream()
                .filter(name -> name.startsWith(NOT_MINE))
                .map(name -> name.substring(NOT_MINE.length()))
                .sorted()
                .toList();
    }

    /** Tests that a person does not do, so that no plan proposes them. */
    @Transactional(readOnly = true)
    public Set<TestId> notMine(String account) {
        Set<String> ids = Set.copyOf(notMine(of(account)));
        return catalogue.tests().keySet().stream()
                .filter(test -> ids.contains(test.value()))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** The decisions of one person, by name of the setting. */
    @Transactional(readOnly = true)
    Map<String, String> of(String account) {
        return rows.findByAccount(account).stream()
                .collect(Collectors.toUnmodifiableMap(PersonalSetting::name, PersonalSetting::chosen));
    }

    /**
     * Decides a setting for one person; without a value the clinic's holds again.
     *
     * @throws BadInput if the setting is not a person's to decide, or the value is not one of its list
     */
    @Transactional
    void choose(String account, String name, Optional<String> value) {
        if (value.isPresent()) {
            check(name, value.get());
            rows.save(new PersonalSetting(account, name, value.get()));
        } else {
            rows.deleteById(new PersonalSetting.Key(account, name));
        }
    }

    private void check(String name, String value) {
        if (name.startsWith(NOT_MINE)) {
            checkTest(name.substring(NOT_MINE.length()), value);
            return;
        }
        List<SettingNames.Listed> personal = SettingNames.Listed.personal();
        SettingNames.Listed listed = personal.stream()
                .filter(each -> each.settingName().equals(name))
                .findFirst()
                .orElseThrow(() -> new BadInput(
                        "name",
                        "'" + name + "' is not a person's to decide; allowed: "
                                + personal.stream()
                                        .map(SettingNames.Listed::settingName)
                                        .toList()));
        if (!listed.allowed().contains(value)) {
            throw new BadInput("value", "'" + value + "' is no answer; allowed: " + listed.allowed());
        }
    }

    private void checkTest(String id, String value) {
        if (!value.equals(YES)) {
            throw new BadInput(
                    "value", "'" + value + "' is no answer; allowed: " + YES + ", or nothing to take it back");
        }
        ExaminationTest test = catalogue.tests().values().stream()
                .filter(each -> each.id().value().equals(id))
                .findFirst()
                .orElseThrow(() -> new BadInput(
                        "name",
                        "'" + id + "' is no test of the library; allowed: " + NOT_MINE + " and the id of a test"));
        if (catalogue.routines().values().stream()
                .anyMatch(routine -> routine.always().contains(test.id()))) {
            throw new BadInput("name", test.shortName() + " belongs to every examination; allowed: any other test");
        }
    }
}
