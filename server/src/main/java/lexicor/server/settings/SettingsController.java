package lexicor.server.settings;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.tracking.NoiseTable;
import lexicor.server.audit.Action;
import lexicor.server.audit.CurrentUser;
import lexicor.server.audit.Traced;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.notes.NoteTemplate;
import lexicor.server.problems.BadInput;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
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
    private final LivingEvidence living;
    private final NoiseTable noise;
    private final PersonalSettings personal;

    SettingsController(
            ClinicSettings settings,
            PersonalSettings personal,
            Catalogue catalogue,
            LivingEvidence living,
            NoiseTable noise) {
        this.personal = personal;
        this.noise = noise;
        this.settings = settings;
        this.catalogue = catalogue;
        this.living = living;
    }

    @GetMapping
    SettingsJson now() {
        return shown(settings.now());
    }

    private SettingsJson shown(Settings decided) {
        return SettingsJson.of(
                decided, catalogue, living.now().weighing().correlations(), noise, personal.of(CurrentUser.isHere()));
    }

    /** Decides one setting. */
    @PutMapping("/{name}")
    @Traced(action = Action.CHANGED, subject = "setting")
    SettingsJson choose(@PathVariable String name, @Valid @RequestBody SettingsJson.Choice choice) {
        return shown(settings.choose(name, Optional.ofNullable(choice.value())));
    }

    /** Decides one setting for the person who asks alone. */
    @PutMapping("/own/{name}")
    SettingsJson chooseForMyself(@PathVariable String name, @Valid @RequestBody SettingsJson.Choice choice) {
        personal.choose(CurrentUser.isHere(), name, Optional.ofNullable(choice.value()));
        return now();
    }

    /** What a layout of a note makes of an invented examination. */
    @PostMapping("/note-preview")
    SettingsJson.NotePreviewJson preview(@Valid @RequestBody SettingsJson.NotePreview request) {
        NoteTemplate.fault(request.template()).ifPresent(fault -> {
            throw new BadInput("template", fault);
        });
        return new SettingsJson.NotePreviewJson(
                NoteTemplate.of(request.template()).example());
    }

    /** Who changed what, newest first. */
    @GetMapping("/history")
    List<SettingsJson.ChangeJson> history() {
        return settings.changes().stream().map(SettingsJson.ChangeJson::of).toList();
    }
}
