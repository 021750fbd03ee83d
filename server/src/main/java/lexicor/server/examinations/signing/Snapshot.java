package lexicor.server.examinations.signing;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Side;
import lexicor.server.examinations.assessment.IntakeJson;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.weighing.AgainJson;
import lexicor.server.examinations.weighing.ConclusionJson;
import lexicor.server.examinations.weighing.InsightJson;
import lexicor.server.examinations.weighing.WeighingJson;
import lexicor.server.report.ReportJson;

/** Everything that went into a signed version, and everything that came out of it. Kept as JSON. */
public record Snapshot(Inputs inputs, Outputs outputs) {

    /**
     * What went in.
     *
     * @param birthYear absent where nobody gave it
     * @param settings the clinic's decisions by which it is read
     * @param templates the layouts of its notes, by length
     * @param commands all of the record, in order
     */
    public record Inputs(
            String caseCode,
            String name,
            Integer birthYear,
            String occupation,
            String region,
            Side side,
            boolean otherSideInvolved,
            CareSetting setting,
            Instant startedAt,
            Map<String, String> settings,
            Map<String, String> templates,
            List<CommandJson> commands) {

        static Inputs of(Recorded recorded, Map<String, String> settings, Map<String, String> templates) {
            ExaminationRow row = recorded.row();
            return new Inputs(
                    row.caseFile().code(),
                    row.caseFile().name().orElse(null),
                    row.caseFile().birthYear().orElse(null),
                    row.caseFile().occupation(),
                    row.region(),
                    row.side(),
                    row.otherSideInvolved(),
                    row.setting(),
                    row.startedAt(),
                    settings,
                    templates,
                    recorded.commands().stream().map(CommandJson::of).toList());
        }
    }

    /**
     * What came out.
     *
     * @param insights the closer look at each condition that a finding was weighed for, by condition
     * @param notes by length
     * @param again measures beside the visit before; absent where there was none
     */
    public record Outputs(
            WeighingJson weighing,
            IntakeJson intake,
            ConclusionJson conclusion,
            Map<String, InsightJson> insights,
            Map<String, String> notes,
            AgainJson again,
            ReportJson report) {}
}
