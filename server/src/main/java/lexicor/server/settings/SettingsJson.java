package lexicor.server.settings;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.dependence.Correlations;
import lexicor.core.tracking.Noise;
import lexicor.core.tracking.NoiseTable;
import lexicor.server.notes.NoteBlock;
import lexicor.server.notes.NoteLength;
import lexicor.server.notes.NoteTemplate;
import lexicor.server.notes.NoteTemplates;

/**
 * The clinic's settings as the page shows them. Every value stands beside the one that ships.
 *
 * @param notMine ids of the tests that the person who asks does not do
 */
public record SettingsJson(
        int revision,
        List<SchoolJson> schools,
        List<NumberJson> thresholds,
        List<EstimateJson> estimates,
        List<ListedJson> listed,
        AssumptionsJson assumptions,
        List<NoteJson> notes,
        List<NoteNameJson> noteNames,
        List<NoiseJson> noise,
        List<String> notMine) {

    private static final int MOST_SHOWN = 100;

    /** The settings, with what the person who asks decided for themselves. */
    static SettingsJson of(
            Settings settings,
            Catalogue catalogue,
            Correlations correlations,
            NoiseTable noise,
            Map<String, String> own) {
        Thresholds now = settings.thresholds();
        Thresholds shipped = catalogue.thresholds();
        return new SettingsJson(
                settings.revision(),
                catalogue.schools().stream()
                        .map(question ->
                                SchoolJson.of(question, settings.schools().choice(question.id())))
                        .toList(),
                List.of(
                        new NumberJson(SettingNames.SET_ASIDE, "Set aside below", now.setAside(), shipped.setAside()),
                        new NumberJson(SettingNames.TEST, "Test further from", now.test(), shipped.test()),
                        new NumberJson(SettingNames.ACT, "Working diagnosis above", now.act(), shipped.act()),
                        new NumberJson(
                                SettingNames.SERIOUS,
                                "Serious conditions: imaging or referral above",
                                now.serious(),
                                shipped.serious())),
                catalogue.conditions().values().stream()
                        .map(condition -> EstimateJson.of(condition, settings))
                        .toList(),
                Arrays.stream(SettingNames.Listed.values())
                        .map(listed -> new ListedJson(
                                listed.settingName(),
                                listed.words(),
                                settings.choice(listed),
                                listed.shipped(),
                                listed.allowed(),
                                SettingNames.Listed.personal().contains(listed),
                                own.get(listed.settingName())))
                        .toList(),
                AssumptionsJson.of(settings, catalogue, correlations),
                Arrays.stream(NoteLength.values())
                        .map(length -> new NoteJson(
                                SettingNames.NOTE + length.id(),
                                length.label(),
                                settings.noteText(length),
                                NoteTemplates.shipped(length)))
                        .toList(),
                Arrays.stream(NoteBlock.values())
                        .map(block -> new NoteNameJson(block.id(), block.says()))
                        .toList(),
                noise(settings.noise(noise), noise),
                PersonalSettings.notMine(own));
    }

    private static List<NoiseJson> noise(NoiseTable now, NoiseTable shipped) {
        List<NoiseJson> all = new ArrayList<>();
        for (int i = 0; i < now.entries().size(); i++) {
            Noise each = now.entries().get(i);
            Noise first = shipped.entries().get(i);
            all.add(new NoiseJson(
                    each.label(),
                    each.better(),
                    each.unit(),
                    number(first, SettingNames.AMOUNT, each.amount(), first.amount()),
                    number(first, SettingNames.SHARE, each.share(), first.share())));
        }
        return all;
    }

    private static NumberJson number(Noise noise, String which, double value, double shipped) {
        return shipped == 0
                ? null
                : new NumberJson(SettingNames.NOISE + noise.id() + which, noise.label(), value, shipped);
    }

    /** The layout of a note. */
    @Schema(name = "NoteSettingJson")
    public record NoteJson(String name, String label, String value, String shipped) {}

    /** A name that a layout can hold, and what it stands for. */
    public record NoteNameJson(String name, String says) {}

    /** A layout to try out. */
    @Schema(name = "NotePreviewRequest")
    public record NotePreview(
            @NotNull(message = "allowed: a text")
            @Size(max = NoteTemplate.MOST, message = "allowed: at most 4000 characters")
            String template) {}

    /** What a layout makes of an invented examination. */
    public record NotePreviewJson(String text) {}

    /**
     * How far two measures may part though nothing has changed: by an amount, by a share in percent, or by the larger
     * of both.
     */
    @Schema(name = "NoiseSettingJson")
    public record NoiseJson(
            String label,
            Noise.Better better,
            String unit,
            @Schema(nullable = true) NumberJson amount,
            @Schema(nullable = true) NumberJson share) {}

    /** A question on which practitioners differ. */
    @Schema(name = "SchoolSettingJson")
    public record SchoolJson(
            String name, String question, String choice, String usual, List<SchoolChoiceJson> choices) {
        static SchoolJson of(Schools.Question question, String choice) {
            return new SchoolJson(
                    SettingNames.SCHOOL + question.id(),
                    question.question(),
                    choice,
                    question.usual(),
                    question.choices().stream()
                            .map(each -> new SchoolChoiceJson(each.value(), each.label()))
                            .toList());
        }
    }

    /** One answer to it. */
    @Schema(name = "SchoolChoiceSettingJson")
    public record SchoolChoiceJson(String value, String label) {}

    /** A chance, 0..1. */
    @Schema(name = "NumberSettingJson")
    public record NumberJson(String name, String label, double value, double shipped) {}

    /** The start of a condition in both settings. */
    @Schema(name = "EstimateSettingJson")
    public record EstimateJson(
            String conditionId, String condition, String region, NumberJson firstContact, NumberJson specialist) {
        static EstimateJson of(Condition condition, Settings settings) {
            return new EstimateJson(
                    condition.id().value(),
                    condition.name(),
                    condition.region(),
                    number(condition, settings, CareSetting.FIRST_CONTACT),
                    number(condition, settings, CareSetting.SPECIALIST));
        }

        private static NumberJson number(Condition condition, Settings settings, CareSetting setting) {
            return new NumberJson(
                    SettingNames.estimate(condition.id().value(), setting),
                    setting == CareSetting.FIRST_CONTACT ? "First contact" : "Specialist clinic",
                    settings.estimate(condition, setting),
                    condition.start().get(setting));
        }
    }

    /**
     * A choice of a list.
     *
     * @param personal whether each person may decide it for themselves
     * @param own what the person who asks decided; absent where the clinic's holds
     */
    @Schema(name = "ListedSettingJson")
    public record ListedJson(
            String name,
            String label,
            String value,
            String shipped,
            List<String> allowed,
            boolean personal,
            @Schema(nullable = true) String own) {}

    /** What a setting is to be; absent for as it ships. */
    @Schema(name = "SettingChoice")
    public record Choice(
            @Schema(nullable = true) @Size(max = NoteTemplate.MOST, message = "allowed: at most 4000 characters")
            String value) {}

    /** A change that somebody made; {@code before} and {@code after} are absent where it was as it ships. */
    @Schema(name = "SettingChangeJson")
    public record ChangeJson(
            String label,
            @Schema(nullable = true) String before,
            @Schema(nullable = true) String after,
            String author,
            Instant at) {
        static ChangeJson of(ClinicSettings.Change change) {
            return new ChangeJson(
                    change.words(),
                    change.before().map(ChangeJson::shortly).orElse(null),
                    change.after().map(ChangeJson::shortly).orElse(null),
                    change.revision().author(),
                    change.revision().at());
        }

        /** A layout is too long for a list of changes. */
        private static String shortly(String value) {
            return value.length() <= MOST_SHOWN ? value : "a text of " + value.length() + " characters";
        }
    }
}
