package lexicor.server.accounts;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/** Roles in one column, separated by commas. */
@Converter
class RolesColumn implements AttributeConverter<Set<Role>, String> {

    @Override
    public String convertToDatabaseColumn(Set<Role> roles) {
        return roles.stream().sorted().map(Role::name).collect(Collectors.joining(","));
    }

    @Override
    public Set<Role> convertToEntityAttribute(String column) {
        return column.isEmpty()
                ? Set.of()
                : Arrays.stream(column.split(","))
                        .map(Role::valueOf)
                        .collect(Collectors.toCollection(() -> EnumSet.noneOf(Role.class)));
    }
}
