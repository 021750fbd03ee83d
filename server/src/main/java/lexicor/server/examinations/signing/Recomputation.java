package lexicor.server.examinations.signing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import lexicor.core.posttest.Percent;
import lexicor.server.examinations.assessment.StandingJson;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.SignatureRow;

/** Compares what was signed with what the same record comes to now. */
final class Recomputation {

    private Recomputation() {}

    static SigningJson.RecomputedJson of(
            SignatureRow row, ExaminationRow.Revisions today, Snapshot signed, Snapshot now) {
        List<String> changes = changes(signed.outputs(), now.outputs());
        List<String> because = changes.isEmpty() ? List.of() : because(row.revisions(), today, signed, now);
        return new SigningJson.RecomputedJson(row.version(), changes.isEmpty(), because, changes);
    }

    private static List<String> because(
            ExaminationRow.Revisions then, ExaminationRow.Revisions today, Snapshot before, Snapshot after) {
        Snapshot.Inputs signed = before.inputs();
        Snapshot.Inputs now = after.inputs();
        List<String> because = new ArrayList<>();
        add(
                because,
                then.catalogue(),
                today.catalogue(),
                "Tests and conditions have changed since (" + then.catalogue() + ", now " + today.catalogue() + ").");
        add(
                because,
                then.evidence(),
                today.evidence(),
                "The evidence has changed since (" + then.evidence() + ", now " + today.evidence() + ").");
        add(
                because,
                List.of(then.settings(), signed.settings()),
                List.of(today.settings(), now.settings()),
                "The clinic's settings are not those it was signed with.");
        add(because, signed.birthYear(), now.birthYear(), "The year of birth was changed.");
        add(
                because,
                List.of(signed.caseCode(), signed.occupation(), Objects.toString(signed.name())),
                List.of(now.caseCode(), now.occupation(), Objects.toString(now.name())),
                "The person's code, name or occupation was changed.");
        add(
                because,
                before.outputs().report().therapist(),
                after.outputs().report().therapist(),
                "Who examined is called otherwise now.");
        add(because, signed.commands(), now.commands(), "The record is not the one that was signed.");
        if (because.isEmpty()) {
            because.add(
                    "Nothing that was put in has changed: the layout of notes, the visit before, or the way of computing is another.");
        }
        return because;
    }

    private static void add(List<String> because, Object then, Object now, String words) {
        if (!Objects.equals(then, now)) {
            because.add(words);
        }
    }

    /** What is different, what the eye would look for first; empty where nothing is. */
    private static List<String> changes(Snapshot.Outputs signed, Snapshot.Outputs now) {
        List<String> changes = new ArrayList<>();
        Map<String, StandingJson> then = new LinkedHashMap<>();
        signed.weighing().standings().forEach(standing -> then.put(standing.conditionId(), standing));
        for (StandingJson standing : now.weighing().standings()) {
            StandingJson before = then.remove(standing.conditionId());
            if (before == null) {
                changes.add(standing.name() + ": not ranked when it was signed");
            } else if (!chance(before).equals(chance(standing))) {
                changes.add(standing.name() + ": signed " + chance(before) + ", now " + chance(standing));
            }
        }
        then.values().forEach(standing -> changes.add(standing.name() + ": no longer ranked"));
        if (changes.isEmpty()) {
            differs(changes, signed.weighing(), now.weighing(), "The ranking, in what is not shown as a whole number");
        }
        differs(changes, signed.intake(), now.intake(), "What follows from the intake");
        differs(changes, signed.conclusion(), now.conclusion(), "What stands beside the conclusion");
        differs(changes, signed.insights(), now.insights(), "The closer look at a condition");
        differs(changes, signed.again(), now.again(), "Measures beside the visit before");
        differs(changes, signed.notes(), now.notes(), "The words of the note");
        differs(changes, signed.report(), now.report(), "The report");
        return changes;
    }

    private static String chance(StandingJson standing) {
        return Percent.of(standing.now()) + " in 100 (" + Percent.of(standing.lower()) + " to "
                + Percent.of(standing.upper()) + ")";
    }

    private static void differs(List<String> changes, Object signed, Object now, String what) {
        if (!Objects.equals(signed, now)) {
            changes.add(what);
        }
    }
}
