package lexicor.server.calculators;

import com.fasterxml.jackson.annotation.JsonInclude;
import lexicor.core.tracking.MeasurementError;
import lexicor.core.tracking.Trend;

/** Whether a change is beyond noise, or how a measure goes over time; what was not asked is left out. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record ChangeAnswer(Double sem, Double mdc95, Boolean beyondNoise, Double slope, Double lower, Double upper) {

    static ChangeAnswer of(MeasurementError error, double change) {
        return new ChangeAnswer(
                error.standardError(), error.detectableChange(), error.beyondNoise(change), null, null, null);
    }

    static ChangeAnswer of(Trend trend) {
        return new ChangeAnswer(null, null, null, trend.slope(), trend.lower(), trend.upper());
    }
}
