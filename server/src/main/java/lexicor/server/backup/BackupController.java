package lexicor.server.backup;

import jakarta.validation.Valid;
import java.nio.file.Files;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The copies of the record over HTTP. A copy holds every patient, so that none leaves the server this way: they are
 * fetched from its folder, or with the command line.
 */
@RestController
@RequestMapping("/api/backups")
class BackupController {

    private final Backups backups;

    BackupController(Backups backups) {
        this.backups = backups;
    }

    @GetMapping
    BackupsJson all() {
        BackupPlan plan = backups.plan();
        return new BackupsJson(
                new BackupsJson.BackupPlanJson(plan.everyHours(), plan.keep()),
                backups.byItself(),
                backups.tooOld(),
                backups.folder().toString(),
                backups.last().stream()
                        .map(run -> new BackupsJson.BackupRunJson(
                                run.at(),
                                run.file(),
                                run.bytes(),
                                run.holds(),
                                run.fault(),
                                run.good() && Files.exists(backups.folder().resolve(run.file()))))
                        .toList());
    }

    /** Whether somebody should be told that copies are missing. */
    @GetMapping("/age")
    BackupsJson.BackupAgeJson age() {
        return new BackupsJson.BackupAgeJson(
                backups.tooOld(), backups.lastGood().map(BackupRun::at).orElse(null));
    }

    /** Copies the record now; the answer says in its first run whether that succeeded. */
    @PostMapping
    @Traced(action = Action.TOOK_OUT, subject = "copy of the record")
    BackupsJson take() {
        backups.take();
        return all();
    }

    @PutMapping("/plan")
    @Traced(action = Action.CHANGED, subject = "plan of copies")
    BackupsJson decide(@Valid @RequestBody BackupsJson.BackupPlanJson plan) {
        backups.decide(new BackupPlan(plan.everyHours(), plan.keep()));
        return all();
    }
}
