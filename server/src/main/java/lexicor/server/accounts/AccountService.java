package lexicor.server.accounts;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.server.audit.Action;
import lexicor.server.audit.AuditLog;
import lexicor.server.disk.DiskRoom;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.NotFound;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsPasswordService;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps accounts. There is always an administrator who can sign in. */
@Service
public class AccountService implements UserDetailsService, UserDetailsPasswordService {

    private static final String ACCOUNT = "account";

    private final Accounts accounts;
    private final Passwords passwords;
    private final SecondFactor secondFactor;
    private final FirstAccountCode firstCode;
    private final ServerSecrets secrets;
    private final AuditLog trail;
    private final DiskRoom room;
    private final JdbcTemplate database;
    private final Clock clock;

    AccountService(
            Accounts accounts,
            Passwords passwords,
            SecondFactor secondFactor,
            FirstAccountCode firstCode,
            ServerSecrets secrets,
            AuditLog trail,
            DiskRoom room,
            JdbcTemplate database,
            Clock clock) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.secondFactor = secondFactor;
        this.firstCode = firstCode;
        this.secrets = secrets;
        this.trail = trail;
        this.room = room;
        this.database = database;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String name) {
        return accounts.findByName(name)
                .map(SignedIn::of)
                .orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    /** Whether nobody can sign in yet. */
    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return accounts.count() == 0;
    }

    /** Whether a session's account is still as it was at sign-in. */
    @Transactional(readOnly = true)
    public boolean isCurrent(SignedIn person) {
        return accounts.findById(person.id())
                .filter(account -> account.active() && account.version() == person.version())
                .isPresent();
    }

    /** Everybody's sign-in name, also of those who may not sign in any more. */
    @Transactional(readOnly = true)
    public List<String> signInNames() {
        return accounts.findAll().stream().map(Account::name).toList();
    }

    /** How a person is called; the sign-in name itself where there is no such account. */
    @Transactional(readOnly = true)
    public String displayName(String name) {
        return accounts.findByName(name).map(Account::displayName).orElse(name);
    }

    @Transactional(readOnly = true)
    List<AccountJson> all() {
        return accounts.findAllByOrderByName().stream().map(AccountJson::of).toList();
    }

    /**
     * The key by which a person's pages keep what is not sent yet: always the same for the same person, 32 bytes in
     * Base64.
     */
    String pageKey(SignedIn person) {
        return Base64.getEncoder()
                .encodeToString(secrets.mac(
                        ServerSecrets.PAGE_KEYS, person.id().toString().getBytes(StandardCharsets.UTF_8)));
    }

    /**
     * The very first account, an administrator; refused once there is one, and without the code that was printed at the
     * start. Of several at once one is made.
     */
    @Transactional
    AccountJson first(AccountJson.FirstAccount request) {
        if (!isEmpty()) {
            throw alreadyThere();
        }
        if (!firstCode.isIt(request.code())) {
            throw new BadInput(
                    "code",
                    "is not the one that the server printed when it started; allowed: that one, such as ABCD-EFGH-IJKL-MNOP");
        }
        if (!request.account().roles().contains(Role.ADMINISTRATOR)) {
            throw new BadInput(
                    "roles", "the first account keeps the others; allowed: ADMINISTRATOR, and others beside it");
        }
        AccountJson made = make(request.account(), false);
        try {
            database.update("insert into first_account (id, account_id) values (1, ?)", made.id());
        } catch (DuplicateKeyException overtaken) {
            throw alreadyThere();
        }
        trail.addFor(
                made.name(),
                Action.ENTERED,
                ACCOUNT,
                made.id().toString(),
                "the first account: " + words(made.roles()));
        return made;
    }

    private static Conflict alreadyThere() {
        return new Conflict("There are accounts already. Please ask the administrator for one.");
    }

    /** Adds an account whose password the administrator chose: the person changes it at the first sign-in. */
    @Transactional
    AccountJson add(AccountJson.NewAccount request) {
        AccountJson made = make(request, true);
        trail.add(Action.ENTERED, ACCOUNT, made.id().toString(), made.name() + ": " + words(made.roles()));
        return made;
    }

    /**
     * Of people named in a record from elsewhere the names of those who have no account here.
     *
     * @param field that the people stand in, for what is said of one
     * @param people shown names by sign-in name
     * @throws BadInput where somebody else has one of the names here
     */
    @Transactional(readOnly = true)
    public List<String> strangers(String field, Map<String, String> people) {
        List<String> strangers = new ArrayList<>();
        new TreeMap<>(people).forEach((name, displayName) -> {
            Optional<Account> known = accounts.findByName(name);
            if (known.isEmpty()) {
                NameRules.fault(name)
                        .or(() -> NameRules.displayFault(NameRules.tidied(displayName), othersThan(name)))
                        .ifPresent(fault -> {
                            throw new BadInput(field + name, fault);
                        });
                strangers.add(displayName);
            } else if (!known.get().displayName().equals(displayName)) {
                throw new BadInput(
                        field + name,
                        "is '" + known.get().displayName()
                                + "' here; allowed: the same person, so that nobody is taken for the author of what another did");
            }
        });
        return strangers;
    }

    /**
     * Keeps the name of somebody who is named in a record and has no account here: one that is closed, so that nobody
     * else gets the sign-in name. An account that is there stays as it is.
     */
    @Transactional
    public void closed(String name, String displayName) {
        if (accounts.findByName(name).isPresent()) {
            return;
        }
        Account account = new Account(
                UUID.randomUUID(),
                name,
                displayName,
                Set.of(Role.THERAPIST),
                passwords.encode(UUID.randomUUID().toString()),
                clock.instant());
        account.change(displayName, Set.of(Role.THERAPIST), false);
        accounts.saveAndFlush(account);
        trail.add(Action.ENTERED, ACCOUNT, account.id().toString(), name + ": closed, named in a case brought in");
    }

    /** @param byAnother whether somebody else chose the password */
    @Transactional
    public AccountJson make(AccountJson.NewAccount request, boolean byAnother) {
        if (accounts.findByName(request.name()).isPresent()) {
            throw new BadInput("name", "'" + request.name() + "' is in use; allowed: another name");
        }
        NameRules.fault(request.name()).ifPresent(fault -> {
            throw new BadInput("name", fault);
        });
        String displayName = displayName(request.name(), request.displayName());
        checkPassword("password", request.password(), request.name(), displayName);
        Account account = new Account(
                UUID.randomUUID(),
                request.name(),
                displayName,
                request.roles(),
                passwords.encode(request.password()),
                clock.instant());
        account.password(account.passwordHash(), byAnother);
        return AccountJson.of(accounts.saveAndFlush(account));
    }

    @Transactional
    AccountJson change(UUID id, AccountJson.ChangedAccount request) {
        List<Account> active = accounts.findByActiveTrue();
        Account account =
                accounts.findById(id).orElseThrow(() -> new NotFound("There is no account " + id + " on this server."));
        if (account.version() != request.version()) {
            throw new Conflict("Somebody else changed this account in the meantime. Please look at it again.");
        }
        boolean keeps = request.active() && request.roles().contains(Role.ADMINISTRATOR);
        if (!keeps
                && active.stream()
                        .filter(each -> each.roles().contains(Role.ADMINISTRATOR))
                        .allMatch(each -> each.id().equals(id))) {
            throw new BadInput(
                    request.active() ? "roles" : "active",
                    "this is the last administrator; allowed: make somebody else administrator first");
        }
        List<String> said = new ArrayList<>();
        String displayName = displayName(account.name(), request.displayName());
        said(said, "name", account.displayName(), displayName);
        said(said, "roles", words(account.roles()), words(request.roles()));
        said(said, "account", onOff(account.active()), onOff(request.active()));
        account.change(displayName, request.roles(), request.active());
        if (request.password() != null) {
            checkPassword("password", request.password(), account.name(), displayName);
            account.password(passwords.encode(request.password()), true);
            said.add("password reset");
        }
        if (Boolean.TRUE.equals(request.forgetSecondFactor())
                && account.secondFactor().isPresent()) {
            account.secondFactor(null);
            secondFactor.forgetRecoveryCodes(id);
            said.add("second factor taken away");
        }
        AccountJson changed = AccountJson.of(accounts.saveAndFlush(account));
        trail.add(
                Action.CHANGED,
                ACCOUNT,
                id.toString(),
                account.name() + ": " + (said.isEmpty() ? "nothing" : String.join("; ", said)));
        return changed;
    }

    private static void said(List<String> said, String what, String before, String after) {
        if (!before.equals(after)) {
            said.add(what + ": " + before + " -> " + after);
        }
    }

    private static String onOff(boolean active) {
        return active ? "on" : "off";
    }

    private static String words(Collection<Role> roles) {
        return roles.stream().sorted().map(Role::name).collect(Collectors.joining(", "));
    }

    private String displayName(String name, String typed) {
        String tidied = NameRules.tidied(typed);
        NameRules.displayFault(tidied, othersThan(name)).ifPresent(fault -> {
            throw new BadInput("displayName", fault);
        });
        return tidied;
    }

    private List<String> othersThan(String name) {
        return accounts.findAll().stream()
                .filter(account -> !account.name().equals(name))
                .flatMap(account -> Stream.of(account.name(), account.displayName()))
                .toList();
    }

    private void checkPassword(String field, String password, String name, String displayName) {
        passwords.fault(password, List.of(name, displayName, "lexicor")).ifPresent(fault -> {
            throw new BadInput(field, fault);
        });
    }

    /** One's own password; the present one has to be given. Returns the person with the account's new version. */
    @Transactional
    SignedIn changePassword(SignedIn person, String present, String fresh) {
        Account account = own(person);
        requirePassword("present", present, account);
        if (present.equals(fresh)) {
            throw new BadInput("fresh", "is the one you have; allowed: another one");
        }
        checkPassword("fresh", fresh, account.name(), account.displayName());
        account.password(passwords.encode(fresh), false);
        return SignedIn.of(accounts.saveAndFlush(account));
    }

    /** A secret for an authenticator; it counts once it is confirmed. */
    SessionJson.SecondFactorJson beginSecondFactor(SignedIn person) {
        String secret = secondFactor.freshSecret();
        String address = secondFactor.address(person.name(), secret);
        SecondFactor.Square square = SecondFactor.Square.of(address);
        return new SessionJson.SecondFactorJson(secret, address, square.size(), square.path());
    }

    /** What confirming a second factor gives: the person with the account's new version, and recovery codes. */
    record Confirmed(SignedIn person, List<String> recoveryCodes) {}

    /** From now on a code is asked beside the password. */
    @Transactional
    Confirmed confirmSecondFactor(SignedIn person, String secret, String code) {
        Account account = own(person);
        OptionalLong step = secondFactor.step(secret, code, 0);
        if (step.isEmpty()) {
            throw new BadInput(
                    "code",
                    "is not the one that the authenticator shows now; allowed: its six digits; the clocks of both devices have to be right");
        }
        account.secondFactor(secret);
        account.usedStep(step.getAsLong());
        return new Confirmed(
                SignedIn.of(accounts.saveAndFlush(account)), secondFactor.freshRecoveryCodes(account.id()));
    }

    /** From now on the password alone is asked. */
    @Transactional
    SignedIn endSecondFactor(SignedIn person, String password) {
        Account account = own(person);
        requirePassword("password", password, account);
        account.secondFactor(null);
        secondFactor.forgetRecoveryCodes(account.id());
        return SignedIn.of(accounts.saveAndFlush(account));
    }

    /**
     * Whether a code is the second factor of somebody whose password was right; a code that was used is used up.
     *
     * @return the person with the account's new version; empty where the code is not right
     */
    @Transactional
    Optional<SignedIn> useCode(SignedIn person, String code) {
        Account account = own(person);
        OptionalLong step = secondFactor.step(
                account.secondFactor().orElseThrow(),
                code,
                Math.max(account.lastStep(), secondFactor.lastStep(account.id())));
        if (step.isPresent()) {
            secondFactor.used(account.id(), step.getAsLong());
            if (!room.isThere()) {
                return Optional.of(person);
            }
            account.usedStep(step.getAsLong());
            return Optional.of(SignedIn.of(accounts.saveAndFlush(account)));
        }
        return secondFactor.useRecoveryCode(account.id(), code) ? Optional.of(person) : Optional.empty();
    }

    /**
     * Keeps a password under a newer kind of hash. Where that cannot be written now, it is tried again at the next
     * sign-in.
     */
    @Override
    @Transactional
    public UserDetails updatePassword(UserDetails person, String hash) {
        if (!room.isThere()) {
            return person;
        }
        Account account = accounts.findByName(person.getUsername()).orElseThrow();
        account.rehashed(hash);
        return SignedIn.of(accounts.saveAndFlush(account));
    }

    private Account own(SignedIn person) {
        return accounts.findById(person.id()).orElseThrow(() -> new NotFound("This account is gone."));
    }

    private void requirePassword(String field, String typed, Account account) {
        if (!passwords.matches(typed, account.passwordHash())) {
            throw new BadInput(field, "is not your password");
        }
    }
}
