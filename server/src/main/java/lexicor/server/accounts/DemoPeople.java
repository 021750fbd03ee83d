package lexicor.server.accounts;

import java.util.List;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The invented people of the demo clinic. Their passwords are shown to everybody, so they exist in the demo only. */
@Component
public class DemoPeople {

    private static final String PASSWORD = "demo-clinic-only";

    private static final List<SessionJson.DemoPersonJson> PEOPLE = List.of(
            person("tarn", "R. Tarn", Role.THERAPIST),
            person("wold", "S. Wold", Role.THERAPIST),
            person("brook", "E. Brook", Role.STUDENT),
            person("fell", "M. Fell", Role.STEWARD),
            person("gill", "J. Gill", Role.ADMINISTRATOR));

    private final boolean demo;
    private final AccountService accounts;

    DemoPeople(@Value("${lexicor.demo}") boolean demo, AccountService accounts) {
        this.demo = demo;
        this.accounts = accounts;
    }

    /** Everybody, in the demo; nobody elsewhere. */
    List<SessionJson.DemoPersonJson> shown() {
        return demo ? PEOPLE : List.of();
    }

    /** Makes the accounts where there are none. */
    public void begin() {
        if (accounts.isEmpty()) {
            PEOPLE.forEach(person -> accounts.make(
                    new AccountJson.NewAccount(
                            person.name(), person.displayName(), Set.copyOf(person.roles()), person.password()),
                    false));
        }
    }

    /** The sign-in name of the demo clinic's therapist. */
    public String therapist() {
        return PEOPLE.get(0).name();
    }

    /** That of the one who examines some of the same patients. */
    public String secondTherapist() {
        return PEOPLE.get(1).name();
    }

    /** That of the student. */
    public String student() {
        return PEOPLE.get(2).name();
    }

    /** That of the steward, who teaches. */
    public String steward() {
        return PEOPLE.get(3).name();
    }

    private static SessionJson.DemoPersonJson person(String name, String displayName, Role role) {
        return new SessionJson.DemoPersonJson(name, displayName, PASSWORD, List.of(role));
    }
}
