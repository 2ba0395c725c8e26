package dev.oleander.web.job;

import dev.oleander.plan.Recipe;
import dev.oleander.plan.StopChoice;
import dev.oleander.web.account.Account;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.json.JsonMapper;

/** A recipe that the shop keeps. */
@Entity
public class ShopRecipe {

    @Id private String name;
    private String process;
    private boolean automatic;

    @JdbcTypeCode(SqlTypes.JSON)
    private String rule;

    @JdbcTypeCode(SqlTypes.JSON)
    private String choice;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "changed_by")
    private Account changedBy;

    private Instant changedAt;

    protected ShopRecipe() {}

    ShopRecipe(String name) {
        this.name = name;
    }

    /**
     * @param forProcess laser, plasma or waterjet; null for all
     * @param onNewJobs whether new jobs take it up
     */
    void set(Recipe recipe, String forProcess, boolean onNewJobs, Account by, Instant at) {
        process = forProcess;
        automatic = onNewJobs;
        rule = recipe.rule() == null ? null : JsonMapper.shared().writeValueAsString(recipe.rule());
        choice = JsonMapper.shared().writeValueAsString(recipe.choice());
        changedBy = by;
        changedAt = at;
    }

    public String name() {
        return name;
    }

    public String process() {
        return process;
    }

    public boolean automatic() {
        return automatic;
    }

    public String changedByName() {
        return changedBy.fullName();
    }

    public Instant changedAt() {
        return changedAt;
    }

    public Recipe recipe() {
        Recipe.Rule parsed =
                rule == null ? null : JsonMapper.shared().readValue(rule, Recipe.Rule.class);
        return new Recipe(name, parsed, JsonMapper.shared().readValue(choice, StopChoice.class));
    }

    boolean isFor(String wanted) {
        return process == null || process.equals(wanted);
    }
}
