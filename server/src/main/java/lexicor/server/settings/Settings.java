package lexicor.server.settings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.OwnEstimate;
import lexicor.core.planning.WorkRoutine;
import lexicor.core.tracking.NoiseTable;
import lexicor.server.notes.NoteLength;
import lexicor.server.notes.NoteTemplate;
import lexicor.server.notes.NoteTemplates;

/**
 * The clinic's decisions at one revision, over what ships.
 *
 * @param revision number of the change that led to them; 0 where nothing was ever changed
 * @param chosen what the clinic decided, by name
 */
public record Settings(int revision, Map<String, String> chosen, Catalogue catalogue) {

    public Settings {
        chosen = Map.copyOf(chosen);
    }

    /** The schools of the clinic. */
    public Schools schools() {
        Schools schools = catalogue.usualSchools();
        for (Schools.Question question : catalogue.schools()) {
            String choice = chosen.getOrDefault(SettingNames.SCHOOL + question.id(), question.usual());
            schools = schools.with(question.id(), question.choice(choice).isPresent() ? choice : question.usual());
        }
        return schools;
    }

    /** Where a chance begins to mean something. */
    public Thresholds thresholds() {
        Thresholds shipped = catalogue.thresholds();
        return new Thresholds(
                number(SettingNames.SET_ASIDE, shipped.setAside()),
                number(SettingNames.TEST, shipped.test()),
                number(SettingNames.ACT, shipped.act()),
                number(SettingNames.SERIOUS, shipped.serious()));
    }

    /** What the weighing assumes. */
    public Assumptions assumptions() {
        Map<String, Double> correlations = new LinkedHashMap<>();
        catalogue.groups().forEach(group -> {
            String rho = chosen.get(SettingNames.RHO + group.id());
            if (rho != null) {
                correlations.put(group.id(), Double.parseDouble(rho));
            }
        });
        Assumptions shipped = Assumptions.usual(catalogue);
        return new Assumptions(
                number(SettingNames.LINK, shipped.link()),
                number(SettingNames.BETWEEN_STUDIES, shipped.betweenStudies()),
                correlations,
                thresholds(),
                choice(SettingNames.Listed.OWN_ESTIMATES).equals("yes")
                        ? OwnEstimates.of(chosen, catalogue)
                        : List.of(),
                choice(SettingNames.Listed.UNMEASURED).equals("weighed"));
    }

    /** The clinic's own estimates, in use or not. */
    public List<OwnEstimate> ownEstimates() {
        return OwnEstimates.of(chosen, catalogue);
    }

    /** The working estimate of a condition in a setting, 0..1. */
    public double estimate(Condition condition, CareSetting setting) {
        return number(
                SettingNames.estimate(condition.id().value(), setting),
                condition.start().get(setting));
    }

    /** The working estimates of conditions in a setting. */
    public Map<ConditionId, Double> estimates(List<Condition> conditions, CareSetting setting) {
        Map<ConditionId, Double> estimates = new LinkedHashMap<>();
        conditions.forEach(condition -> estimates.put(condition.id(), estimate(condition, setting)));
        return estimates;
    }

    /** A choice of a list, or the one that ships. */
    public String choice(SettingNames.Listed listed) {
        return chosen.getOrDefault(listed.settingName(), listed.shipped());
    }

    /** The layout of a note, the clinic's own or the one that ships. */
    public NoteTemplate note(NoteLength length) {
        return NoteTemplate.of(noteText(length));
    }

    /**
     * The text of that layout. One that was kept by an earlier version, and is no layout any more, gives way to the one
     * that ships.
     */
    public String noteText(NoteLength length) {
        String own = chosen.get(SettingNames.NOTE + length.id());
        return own == null || NoteTemplate.fault(own).isPresent() ? NoteTemplates.shipped(length) : own;
    }

    /** The measurement noise, with the clinic's own figures in their place. */
    public NoiseTable noise(NoiseTable shipped) {
        return shipped.with(noise -> noise.with(
                number(SettingNames.NOISE + noise.id() + SettingNames.AMOUNT, noise.amount()),
                number(SettingNames.NOISE + noise.id() + SettingNames.SHARE, noise.share())));
    }

    /** The clinic's own routines, in the order of their names. */
    public List<WorkRoutine> routines() {
        List<WorkRoutine> routines = new ArrayList<>();
        chosen.forEach((name, text) -> SettingNames.RoutineName.of(name)
                .ifPresent(named -> routines.add(WorkRoutine.read(named.id(), named.region(), text))));
        return routines.stream().sorted(Comparator.comparing(WorkRoutine::name)).toList();
    }

    private double number(String name, double shipped) {
        String value = chosen.get(name);
        return value == null ? shipped : Double.parseDouble(value);
    }
}
