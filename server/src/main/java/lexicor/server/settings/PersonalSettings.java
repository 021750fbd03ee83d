package lexicor.server.settings;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lexicor.server.problems.BadInput;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What persons decided for themselves alone: how the page calls things, never what is weighed or stored. */
@Service
class PersonalSettings {

    private final PersonalSettingRows rows;

    PersonalSettings(PersonalSettingRows rows) {
        this.rows = rows;
    }

    /** The decisions of one person, by name of the setting. */
    @Transactional(readOnly = true)
    public Map<String, String> of(String account) {
        return rows.findByAccount(account).stream()
                .collect(Collectors.toUnmodifiableMap(PersonalSetting::name, PersonalSetting::chosen));
    }

    /**
     * Decides a setting for one person; without a value the clinic's holds again.
     *
     * @throws BadInput if the setting is not a person's to decide, or the value is not one of its list
     */
    @Transactional
    public void choose(String account, String name, Optional<String> value) {
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
        if (value.isEmpty()) {
            rows.deleteById(new PersonalSetting.Key(account, name));
            return;
        }
        if (!listed.allowed().contains(value.get())) {
            throw new BadInput("value", "'" + value.get() + "' is no answer; allowed: " + listed.allowed());
        }
        rows.save(new PersonalSetting(account, name, value.get()));
    }
}
