package lexicor.server.settings;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.Correlations;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.OwnEstimate;

/**
 * What the weighing assumes, each beside what ships.
 *
 * @param estimates the clinic's own estimates, in use or not
 */
@Schema(name = "AssumptionsSettingJson")
public record AssumptionsJson(
        SettingsJson.NumberJson link,
        SettingsJson.NumberJson betweenStudies,
        List<GroupSettingJson> groups,
        List<OwnEstimateJson> estimates) {

    /** A group's correlation: as chosen, or as learnt or assumed, with the middle 95 % of what is believed. */
    public record GroupSettingJson(
            String name,
            String label,
            double value,
            double shipped,
            double lower,
            double upper,
            Correlation.Origin origin,
            List<String> tests) {}

    /** An estimate of what no study gives. */
    public record OwnEstimateJson(
            String name,
            String testId,
            String test,
            String conditionId,
            String condition,
            double ifPositive,
            double ifNegative) {}

    static AssumptionsJson of(Settings settings, Catalogue catalogue, Correlations correlations) {
        Assumptions now = settings.assumptions();
        Assumptions shipped = Assumptions.usual(catalogue);
        return new AssumptionsJson(
                new SettingsJson.NumberJson(SettingNames.LINK, "Between groups", now.link(), shipped.link()),
                new SettingsJson.NumberJson(
                        SettingNames.BETWEEN_STUDIES,
                        "Between studies",
                        now.betweenStudies(),
                        shipped.betweenStudies()),
                catalogue.groups().stream()
                        .map(group -> group(correlations.all().get(group.id()), now, catalogue))
                        .toList(),
                settings.ownEstimates().stream()
                        .map(estimate -> estimate(estimate, catalogue))
                        .toList());
    }

    private static GroupSettingJson group(Correlation usual, Assumptions now, Catalogue catalogue) {
        return new GroupSettingJson(
                SettingNames.RHO + usual.group().id(),
                usual.group().name(),
                now.correlations().getOrDefault(usual.group().id(), usual.present()),
                usual.present(),
                usual.interval().lower(),
                usual.interval().upper(),
                usual.origin(),
                usual.group().tests().stream()
                        .filter(catalogue.tests()::containsKey)
                        .map(test -> catalogue.test(test).shortName())
                        .toList());
    }

    private static OwnEstimateJson estimate(OwnEstimate estimate, Catalogue catalogue) {
        return new OwnEstimateJson(
                SettingNames.OWN + estimate.test() + "." + estimate.condition(),
                estimate.test().value(),
                catalogue.test(estimate.test()).name(),
                estimate.condition().value(),
                catalogue.condition(estimate.condition()).name(),
                estimate.ifPositive(),
                estimate.ifNegative());
    }
}
