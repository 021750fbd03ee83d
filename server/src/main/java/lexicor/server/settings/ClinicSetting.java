package lexicor.server.settings;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import org.hibernate.envers.AuditTable;
import org.hibernate.envers.Audited;

/** One decision of the clinic. What has no row is as it ships. */
@Entity
@Audited
@AuditTable("clinic_setting_history")
class ClinicSetting {

    @Id
    private String name;

    @Column(nullable = false)
    private String chosen;

    protected ClinicSetting() {
        // for the mapper
    }

    ClinicSetting(String name, String chosen) {
        this.name = name;
        this.chosen = chosen;
    }

    void choose(String another) {
        this.chosen = another;
    }

    String name() {
        return name;
    }

    String chosen() {
        return chosen;
    }
}
