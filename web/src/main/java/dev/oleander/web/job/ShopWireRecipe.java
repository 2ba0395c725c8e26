package dev.oleander.web.job;

import dev.oleander.quantity.Worded;
import dev.oleander.web.account.Account;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireKind;
import dev.oleander.work.wire.plan.WireOrder;
import dev.oleander.work.wire.plan.WireRecipe;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.json.JsonMapper;

/** A recipe for the wire that the shop keeps. */
@Entity
@Table(name = "wire_recipe")
public class ShopWireRecipe {

    @Id private String name;
    private String kind;
    private String runOrder;

    @JdbcTypeCode(SqlTypes.JSON)
    private String choice;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "changed_by")
    private Account changedBy;

    private Instant changedAt;

    protected ShopWireRecipe() {}

    ShopWireRecipe(String name) {
        this.name = name;
    }

    void set(WireRecipe recipe, Account by, Instant at) {
        kind = recipe.kind() == null ? null : recipe.kind().word();
        runOrder = recipe.order() == null ? null : recipe.order().word();
        choice = JsonMapper.shared().writeValueAsString(recipe.choice());
        changedBy = by;
        changedAt = at;
    }

    public String name() {
        return name;
    }

    public String changedByName() {
        return changedBy.fullName();
    }

    public Instant changedAt() {
        return changedAt;
    }

    public WireRecipe recipe() {
        WireKind known = kind == null ? null : Worded.of(WireKind.class, kind).orElse(null);
        WireOrder order =
                runOrder == null ? null : Worded.of(WireOrder.class, runOrder).orElse(null);
        return new WireRecipe(
                name, known, JsonMapper.shared().readValue(choice, WireChoice.class), order);
    }
}
