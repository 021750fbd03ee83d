package lexicor.server.settings;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.weighing.Weighing;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The clinic's settings over HTTP. */
@RestController
@RequestMapping("/api/settings")
class SettingsController {

    private final ClinicSettings settings;
    private final Catalogue catalogue;
    private final Weighing weighing;

    SettingsController(ClinicSettings settings, Catalogue catalogue, Weighing weighing) {
        this.settings = settings;
        this.catalogue = catalogue;
        this.weighing = weighing;
    }

    @GetMapping
    SettingsJson now() {
        return SettingsJson.of(settings.now(), catalogue, weighing.correlations());
    }

    /** Decides one setting. */
    @PutMapping("/{name}")
    @Traced(action = Action.CHANGED, subject = "setting")
    SettingsJson choose(@PathVariable String name, @Valid @RequestBody SettingsJson.Choice choice) {
        return SettingsJson.of(settings.choose(name, Optional.ofNullable(choice.value())), catalogue, weighing.correlations());
    }

    /** Who changed what, newest first. */
    @GetMapping("/history")
    List<SettingsJson.ChangeJson> history() {
        return settings.changes().stream().map(SettingsJson.ChangeJson::of).toList();
    }
}
