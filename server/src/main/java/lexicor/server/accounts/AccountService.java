package lexicor.server.accounts;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.NotFound;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps accounts. There is always an administrator who can sign in. */
@Service
public class AccountService implements UserDetailsService {

    /** Longest password that the hash takes in, in bytes. */
    private static final int MOST_BYTES = 72;

    private final Accounts accounts;
    private final PasswordEncoder passwords;
    private final Clock clock;

    AccountService(Accounts accounts, PasswordEncoder passwords, Clock clock) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String name) {
        return accounts.findByName(name).map(SignedIn::of).orElseThrow(() -> new UsernameNotFoundException("no such account"));
    }

    /** Whether nobody can sign in yet. */
    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return accounts.count() == 0;
    }

    /** Whether a session's account is still as it was at sign-in. */
    @Transactional(readOnly = true)
    public boolean isCurrent(SignedIn person) {
        return accounts.findById(person.id()).filter(account -> account.active() && account.version() == person.version()).isPresent();
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

    /** The very first account, an administrator; refused once there is one. */
    @Transactional
    AccountJson first(AccountJson.NewAccount request) {
        if (!isEmpty()) {
            throw new Conflict("There are accounts already. Please ask the administrator for one.");
        }
        if (!request.roles().contains(Role.ADMINISTRATOR)) {
            throw new BadInput("roles", "the first account keeps the others; allowed: ADMINISTRATOR, and others beside it");
        }
        return add(request);
    }

    /** Adds an account. */
    @Transactional
    public AccountJson add(AccountJson.NewAccount request) {
        if (accounts.findByName(request.name()).isPresent()) {
            throw new BadInput("name", "'" + request.name() + "' is in use; allowed: another name");
        }
        return AccountJson.of(accounts.saveAndFlush(new Account(UUID.randomUUID(), request.name(), request.displayName().strip(), request.roles(), hash("password", request.password()),
                clock.instant())));
    }

    @Transactional
    AccountJson change(UUID id, AccountJson.ChangedAccount request) {
        Account account = accounts.findById(id).orElseThrow(() -> new NotFound("There is no account " + id + " on this server."));
        if (account.version() != request.version()) {
            throw new Conflict("Somebody else changed this account in the meantime. Please look at it again.");
        }
        boolean keeps = request.active() && request.roles().contains(Role.ADMINISTRATOR);
        if (!keeps && administrators().equals(Set.of(id))) {
            throw new BadInput(request.active() ? "roles" : "active", "this is the last administrator; allowed: make somebody else administrator first");
        }
        account.change(request.displayName().strip(), request.roles(), request.active());
        if (request.password() != null) {
            account.password(hash("password", request.password()));
        }
        return AccountJson.of(accounts.saveAndFlush(account));
    }

    /** One's own password; the present one has to be given. Returns the person with the account's new version. */
    @Transactional
    SignedIn changePassword(SignedIn person, String present, String fresh) {
        Account account = accounts.findById(person.id()).orElseThrow(() -> new NotFound("This account is gone."));
        if (!passwords.matches(present, account.passwordHash())) {
            throw new BadInput("present", "is not your password");
        }
        account.password(hash("fresh", fresh));
        return SignedIn.of(accounts.saveAndFlush(account));
    }

    private Set<UUID> administrators() {
        return accounts.findAll().stream().filter(account -> account.active() && account.roles().contains(Role.ADMINISTRATOR)).map(Account::id)
                .collect(java.util.stream.Collectors.toUnmodifiableSet());
    }

    private String hash(String field, String password) {
        if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            throw new BadInput(field, AccountJson.PASSWORD);
        }
        return passwords.encode(password);
    }
}
