package lexicor.server;

import java.sql.SQLException;
import java.util.Map;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.MapPropertySource;

/**
 * Puts a test's server on PostgreSQL where the run asks for it with {@code -Dlexicor.test.postgresql=true}; all tests
 * of a process share one record, as they share the one in memory otherwise.
 */
public class ServerDatabaseUnderTest implements ApplicationContextInitializer<ConfigurableApplicationContext> {

    private static String address;

    private static boolean isAsked() {
        return Boolean.getBoolean("lexicor.test.postgresql");
    }

    @Override
    public void initialize(ConfigurableApplicationContext context) {
        if (isAsked()) {
            use(context, shared());
        }
    }

    /** Puts a test's server on a database of the private cluster, by the product's own settings. */
    public static void use(ConfigurableApplicationContext context, String address) {
        context.getEnvironment()
                .getPropertySources()
                .addFirst(new MapPropertySource(
                        "server database",
                        Map.of(
                                "spring.datasource.url",
                                "${lexicor.database.address}",
                                "lexicor.database.address",
                                address,
                                "lexicor.database.user",
                                PrivateCluster.USER,
                                "lexicor.database.password",
                                PrivateCluster.get().password())));
    }

    private static synchronized String shared() {
        if (address == null) {
            try {
                address = PrivateCluster.get().database("shared");
            } catch (SQLException fault) {
                throw new IllegalStateException(fault);
            }
        }
        return address;
    }
}
