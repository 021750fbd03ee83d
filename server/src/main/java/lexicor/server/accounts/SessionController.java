package lexicor.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import lexicor.server.audit.Action;
import lexicor.server.audit.Trail;
import lexicor.server.audit.Traced;
import lexicor.server.problems.Forbidden;
import lexicor.server.problems.NotSignedIn;
import lexicor.server.problems.TooManyTries;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@RequestMapping("/api")
class SessionController {

    private final AccountService accounts;
    private final AuthenticationManager authentication;
    private final SecurityContextRepository sessions;
    private final SignInThrottle throttle;
    private final DemoPeople demoPeople;
    private final Trail trail;

    SessionController(AccountService accounts, AuthenticationManager authentication, SecurityContextRepository sessions, SignInThrottle throttle,
            DemoPeople demoPeople, Trail trail) {
        this.accounts = accounts;
        this.authentication = authentication;
        this.sessions = sessions;
        this.throttle = throttle;
        this.demoPeople = demoPeople;
        this.trail = trail;
    }

    /** Who is here; nobody before the first sign-in. */
    @GetMapping("/session")
    SessionJson session(@AuthenticationPrincipal SignedIn person) {
        return answer(person);
    }

    /** Signs in. */
    @PostMapping("/session")
    SessionJson signIn(@Valid @RequestBody SessionJson.SignIn request, HttpServletRequest http, HttpServletResponse response) {
        String name = request.name().strip().toLowerCase(Locale.ROOT);
        Optional<Duration> wait = throttle.wait(name, http.getRemoteAddr());
        if (wait.isPresent()) {
            throw new TooManyTries(wait.get());
        }
        try {
            Authentication person = authentication.authenticate(UsernamePasswordAuthenticationToken.unauthenticated(name, request.password()));
            throttle.succeeded(name);
            begin((SignedIn) person.getPrincipal(), http, response);
            trail.add(Action.SIGNED_IN, "session", "", "");
            return answer((SignedIn) person.getPrincipal());
        } catch (AuthenticationException refused) {
            throttle.failed(name, http.getRemoteAddr());
            trail.addFor(name.length() > 40 ? name.substring(0, 40) : name, Action.REFUSED, "session", "", "sign-in failed");
            throw new NotSignedIn("Name and password do not go together.");
        }
    }

    /** Signs out; what is on the screen stays the page's own business. */
    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Traced(action = Action.SIGNED_OUT, subject = "session")
    void signOut(HttpServletRequest http) {
        Optional.ofNullable(http.getSession(false)).ifPresent(session -> session.invalidate());
    }

    /** Changes one's own password. */
    @PostMapping("/session/password")
    @Traced(action = Action.CHANGED, subject = "own password")
    SessionJson changePassword(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody SessionJson.NewPassword request, HttpServletRequest http,
            HttpServletResponse response) {
        Optional<Duration> wait = throttle.wait(person.name(), http.getRemoteAddr());
        if (wait.isPresent()) {
            throw new TooManyTries(wait.get());
        }
        try {
            SignedIn renewed = accounts.changePassword(person, request.present(), request.fresh());
            begin(renewed, http, response);
            return answer(renewed);
        } catch (lexicor.server.problems.BadInput fault) {
            throttle.failed(person.name(), http.getRemoteAddr());
            throw fault;
        }
    }

    /** Makes the first account, at the machine itself, and signs it in. */
    @PostMapping("/first-account")
    @ResponseStatus(HttpStatus.CREATED)
    SessionJson first(@Valid @RequestBody AccountJson.NewAccount request, HttpServletRequest http, HttpServletResponse response) throws UnknownHostException {
        if (!InetAddress.getByName(http.getRemoteAddr()).isLoopbackAddress()) {
            throw new Forbidden("The first account is made at the machine on which Lexicor runs.");
        }
        AccountJson made = accounts.first(request);
        SignedIn person = (SignedIn) accounts.loadUserByUsername(made.name());
        begin(person, http, response);
        trail.add(Action.ENTERED, "account", made.id().toString(), "the first account");
        return answer(person);
    }

    /** A new session of the person, under a new id. */
    private void begin(SignedIn person, HttpServletRequest http, HttpServletResponse response) {
        http.getSession();
        http.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, http, response);
    }

    private SessionJson answer(SignedIn person) {
        return new SessionJson(person == null ? null : SessionJson.PersonJson.of(person), accounts.isEmpty(), demoPeople.shown());
    }
}
