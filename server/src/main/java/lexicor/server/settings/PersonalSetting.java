package lexicor.server.settings;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.util.Objects;

/** What one person decided for themselves alone. What has no row is as the clinic has it. */
@Entity
@IdClass(PersonalSetting.Key.class)
class PersonalSetting {

    /** Whose, and which. */
    static final class Key implements Serializable {

        private String account;
        private String name;

        protected Key() {
            // for the mapper
        }

        Key(String account, String name) {
            this.account = account;
            this.name = name;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Key key && account.equals(key.account) && name.equals(key.name);
        }

        @Override
        public int hashCode() {
            return Objects.hash(account, name);
        }
    }

    @Id
    private String account;

    @Id
    private String name;

    @Column(nullable = false)
    private String chosen;

    protected PersonalSetting() {
        // for the mapper
    }

    PersonalSetting(String account, String name, String chosen) {
        this.account = account;
        this.name = name;
        this.chosen = chosen;
    }

    String name() {
        return name;
    }

    String chosen() {
        return chosen;
    }
}
