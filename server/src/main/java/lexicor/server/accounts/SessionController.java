package lexicor.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import java.util.Locale;
import java.util.Optional;
import lexicor.server.audit.Action;
import lexicor.server.audit.AuditLog;
import lexicor.server.audit.Traced;
import lexicor.server.problems.NotSignedIn;
import lexicor.server.problems.SecondFactorNeeded;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and what a person may change of the own account. */
@RestController
@RequestMapping("/api")
class SessionController {

    private static final int LONGEST_NAME = 40;

    private final AccountService accounts;
    private final AuthenticationManager authentication;
    private final SecurityContextRepository sessions;
    private final CsrfTokenRepository tokens;
    private final SignInThrottle throttle;
    private final KnownDevices devices;
    private final DemoPeople demoPeople;
    private final AuditLog trail;

    SessionController(
            AccountService accounts,
            AuthenticationManager authentication,
            SecurityContextRepository sessions,
            CsrfTokenRepository tokens,
            SignInThrottle throttle,
            KnownDevices devices,
            DemoPeople demoPeople,
            AuditLog trail) {
        this.accounts = accounts;
        this.authentication = authentication;
        this.sessions = sessions;
        this.tokens = tokens;
        this.throttle = throttle;
        this.devices = devices;
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
    SessionJson signIn(
            @Valid @RequestBody SessionJson.SignIn request, HttpServletRequest http, HttpServletResponse response) {
        String name = request.name().strip().toLowerCase(Locale.ROOT);
        SignInThrottle.Try paid =
                throttle.pay(name, http.getRemoteAddr(), devices.of(name, http).orElse(null));
        SignedIn person;
        try {
            authentication.authenticate(UsernamePasswordAuthenticationToken.unauthenticated(name, request.password()));
            person = (SignedIn) accounts.loadUserByUsername(name); // the hash may have been renewed just now
        } catch (AuthenticationException refused) {
            refused(name, "sign-in failed");
            throw new NotSignedIn("Name and password do not go together.");
        }
        if (person.secondFactor()) {
            person = secondFactor(
                    person,
                    Optional.ofNullable(request.code()).map(String::strip).orElse(""),
                    paid);
        }
        paid.succeeded();
        devices.mark(name, http, response);
        begin(person, http, response);
        trail.add(Action.SIGNED_IN, "session", "", "");
        return answer(person);
    }

    private SignedIn secondFactor(SignedIn person, String code, SignInThrottle.Try paid) {
        if (code.isEmpty()) {
            paid.takenBack();
            throw new SecondFactorNeeded("Type the code that your authenticator shows.");
        }
        return accounts.useCode(person, code).orElseThrow(() -> {
            refused(person.name(), "second factor wrong");
            return new SecondFactorNeeded(
                    "This code is not right, or was used before. Type the one that your authenticator shows now, or a recovery code.");
        });
    }

    private void refused(String name, String why) {
        trail.addFor(
                name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name,
                Action.REFUSED,
                "session",
                "",
                why);
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
    SessionJson changePassword(
            @AuthenticationPrincipal SignedIn person,
            @Valid @RequestBody SessionJson.NewPassword request,
            HttpServletRequest http,
            HttpServletResponse response) {
        SignInThrottle.Try paid = throttle.pay(
                person.name(),
                http.getRemoteAddr(),
                devices.of(person.name(), http).orElse(null));
        SignedIn renewed = accounts.changePassword(person, request.present(), request.fresh());
        paid.succeeded();
        begin(renewed, http, response);
        return answer(renewed);
    }

    /** A secret for an authenticator, which counts once it is confirmed. */
    @PostMapping("/session/second-factor")
    SessionJson.SecondFactorJson beginSecondFactor(@AuthenticationPrincipal SignedIn person) {
        return accounts.beginSecondFactor(person);
    }

    /** From now on a code is asked beside the password. */
    @PostMapping("/session/second-factor/confirmed")
    @Traced(action = Action.CHANGED, subject = "second factor on")
    SessionJson.RecoveryCodesJson confirmSecondFactor(
            @AuthenticationPrincipal SignedIn person,
            @Valid @RequestBody SessionJson.ConfirmSecondFactor request,
            HttpServletRequest http,
            HttpServletResponse response) {
        AccountService.Confirmed confirmed = accounts.confirmSecondFactor(person, request.secret(), request.code());
        begin(confirmed.person(), http, response);
        return new SessionJson.RecoveryCodesJson(confirmed.recoveryCodes());
    }

    /** From now on the password alone is asked. */
    @PostMapping("/session/second-factor/ended")
    @Traced(action = Action.CHANGED, subject = "second factor off")
    SessionJson endSecondFactor(
            @AuthenticationPrincipal SignedIn person,
            @Valid @RequestBody SessionJson.WithPassword request,
            HttpServletRequest http,
            HttpServletResponse response) {
        SignInThrottle.Try paid = throttle.pay(
                person.name(),
                http.getRemoteAddr(),
                devices.of(person.name(), http).orElse(null));
        SignedIn renewed = accounts.endSecondFactor(person, request.password());
        paid.succeeded();
        begin(renewed, http, response);
        return answer(renewed);
    }

    /** Makes the first account, by the code that the server printed when it started, and signs it in. */
    @PostMapping("/first-account")
    @ResponseStatus(HttpStatus.CREATED)
    SessionJson first(
            @Valid @RequestBody AccountJson.FirstAccount request,
            HttpServletRequest http,
            HttpServletResponse response) {
        SignInThrottle.Try paid = throttle.pay("the first account", http.getRemoteAddr(), null);
        AccountJson made = accounts.first(request);
        paid.succeeded();
        SignedIn person = (SignedIn) accounts.loadUserByUsername(made.name());
        begin(person, http, response);
        return answer(person);
    }

    /** A new session of the person, under a new id and with a new token against cross-site requests. */
    private void begin(SignedIn person, HttpServletRequest http, HttpServletResponse response) {
        http.getSession();
        http.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        sessions.saveContext(context, http, response);
        tokens.saveToken(tokens.generateToken(http), http, response);
    }

    private SessionJson answer(SignedIn person) {
        return person == null
                ? new SessionJson(null, accounts.isEmpty(), demoPeople.shown(), null)
                : new SessionJson(
                        SessionJson.PersonJson.of(person), false, demoPeople.shown(), accounts.pageKey(person));
    }
}
