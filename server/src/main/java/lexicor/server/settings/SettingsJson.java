package lexicor.server.settings;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.Setting;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.weighing.Correlations;

/** The clinic's settings as the page shows them. Every value stands beside the one that ships. */
public record SettingsJson(int revision, List<SchoolJson> schools, List<NumberJson> thresholds, List<EstimateJson> estimates, List<ListedJson> listed, AssumptionsJson assumptions) {

    static SettingsJson of(Settings settings, Catalogue catalogue, Correlations correlations) {
        Thresholds now = settings.thresholds();
        Thresholds shipped = catalogue.thresholds();
        return new SettingsJson(settings.revision(),
                catalogue.schools().stream().map(question -> SchoolJson.of(question, settings.schools().choice(question.id()))).toList(),
                List.of(new NumberJson(SettingNames.SET_ASIDE, "Set aside below", now.setAside(), shipped.setAside()),
                        new NumberJson(SettingNames.TEST, "Test further from", now.test(), shipped.test()),
                        new NumberJson(SettingNames.ACT, "Working diagnosis above", now.act(), shipped.act()),
                        new NumberJson(SettingNames.SERIOUS, "Serious conditions: imaging or referral above", now.serious(), shipped.serious())),
                catalogue.conditions().values().stream().map(condition -> EstimateJson.of(condition, settings)).toList(),
                Arrays.stream(SettingNames.Listed.values()).map(listed -> new ListedJson(listed.settingName(), listed.words(), settings.choice(listed), listed.shipped(), listed.allowed())).toList(),
                AssumptionsJson.of(settings, catalogue, correlations));
    }

    /** A question on which practitioners differ. */
    @Schema(name = "SchoolSettingJson")
    public record SchoolJson(String name, String question, String choice, String usual, List<SchoolChoiceJson> choices) {
        static SchoolJson of(Schools.Question question, String choice) {
            return new SchoolJson(SettingNames.SCHOOL + question.id(), question.question(), choice, question.usual(),
                    question.choices().stream().map(each -> new SchoolChoiceJson(each.value(), each.label())).toList());
        }
    }

    /** One answer to it. */
    @Schema(name = "SchoolChoiceSettingJson")
    public record SchoolChoiceJson(String value, String label) {
    }

    /** A chance, 0..1. */
    @Schema(name = "NumberSettingJson")
    public record NumberJson(String name, String label, double value, double shipped) {
    }

    /** The start of a condition in both settings. */
    @Schema(name = "EstimateSettingJson")
    public record EstimateJson(String conditionId, String condition, String region, NumberJson firstContact, NumberJson specialist) {
        static EstimateJson of(Condition condition, Settings settings) {
            return new EstimateJson(condition.id().value(), condition.name(), condition.region(), number(condition, settings, Setting.FIRST_CONTACT),
                    number(condition, settings, Setting.SPECIALIST));
        }

        private static NumberJson number(Condition condition, Settings settings, Setting setting) {
            return new NumberJson(SettingNames.estimate(condition.id().value(), setting), setting == Setting.FIRST_CONTACT ? "First contact" : "Specialist clinic",
                    settings.estimate(condition, setting), condition.start().get(setting));
        }
    }

    /** A choice of a list. */
    @Schema(name = "ListedSettingJson")
    public record ListedJson(String name, String label, String value, String shipped, List<String> allowed) {
    }

    /** What a setting is to be; absent for as it ships. */
    @Schema(name = "SettingChoice")
    public record Choice(@Schema(nullable = true) @Size(max = 200, message = "allowed: at most 200 characters") String value) {
    }

    /** A change that somebody made; {@code before} and {@code after} are absent where it was as it ships. */
    @Schema(name = "SettingChangeJson")
    public record ChangeJson(String label, @Schema(nullable = true) String before, @Schema(nullable = true) String after, String author, Instant at) {
        static ChangeJson of(ClinicSettings.Change change) {
            return new ChangeJson(change.words(), change.before().orElse(null), change.after().orElse(null), change.revision().author(), change.revision().at());
        }
    }
}
