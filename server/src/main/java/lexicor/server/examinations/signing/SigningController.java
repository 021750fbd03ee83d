package lexicor.server.examinations.signing;

import jakarta.validation.Valid;
import java.util.UUID;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing over HTTP. */
@RestController
@RequestMapping("/api/examinations/{id}")
class SigningController {

    private final Signing signing;

    SigningController(Signing signing) {
        this.signing = signing;
    }

    /** Signs the examination as it stands. */
    @PostMapping("/signature")
    @Traced(action = Action.CHANGED, subject = "signature")
    public SigningJson sign(@PathVariable UUID id, @Valid @RequestBody SigningJson.Sign request) {
        return signing.sign(id, request.knows());
    }

    /** Opens a signed examination again. */
    @PostMapping("/amendment")
    @Traced(action = Action.CHANGED, subject = "signature")
    public SigningJson amend(@PathVariable UUID id, @Valid @RequestBody SigningJson.Amend request) {
        return signing.amend(id, request.reason());
    }

    /** Whether computing a signed version anew gives the same. */
    @GetMapping("/versions/{version}/recomputed")
    @Traced(action = Action.SAW, subject = "signature")
    public SigningJson.RecomputedJson recomputed(@PathVariable UUID id, @PathVariable int version) {
        return signing.recompute(id, version);
    }
}
