package dev.oleander.web.job.recipe;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Recipe;
import dev.oleander.web.account.Account;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.json.JsonMapper;

/** A recipe that the shop keeps. */
@Entity
@Table(name = "recipe")
public class ShopRecipe {

    /**
     * What names one.
     *
     * @param work word of its kind of work
     */
    @Embeddable
    public record Key(String work, String name) {}

    @EmbeddedId private Key key;
    private String process;
    private boolean automatic;

    @JdbcTypeCode(SqlTypes.JSON)
    private String rule;

    @JdbcTypeCode(SqlTypes.JSON)
    private String choice;

    private String runOrder;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "changed_by")
    private Account changedBy;

    private Instant changedAt;

    protected ShopRecipe() {}

    ShopRecipe(Key key) {
        this.key = key;
    }

    /**
     * When it is used.
     *
     * @param process of machines; empty for all of its kind of work
     * @param onNewJobs whether new jobs take it up
     */
    public record Use(String process, boolean onNewJobs) {

        public static final Use WHEN_ASKED = new Use("", false);
    }

    void set(Recipe<?> recipe, Use use, Account by, Instant at) {
        process = use.process().isEmpty() ? null : use.process();
        automatic = use.onNewJobs();
        rule = JsonMapper.shared().writeValueAsString(recipe.rule());
        choice = JsonMapper.shared().writeValueAsString(recipe.choice());
        runOrder = recipe.order();
        changedBy = by;
        changedAt = at;
    }

    public Work<?, ?> kind() {
        return Kinds.find(key.work()).orElseThrow();
    }

    public String name() {
        return key.name();
    }

    public Use use() {
        return new Use(process == null ? "" : process, automatic);
    }

    public String changedByName() {
        return changedBy.fullName();
    }

    public Instant changedAt() {
        return changedAt;
    }

    /**
     * What it says.
     *
     * @param kind its own
     */
    public <C extends Choices<C, S>, S extends Choice<S>> Recipe<S> recipe(Work<C, S> kind) {
        return new Recipe<>(
                name(),
                JsonMapper.shared().readValue(rule, Recipe.Rule.class),
                JsonMapper.shared().readValue(choice, kind.choicesOfStops()),
                runOrder);
    }

    boolean isFor(Work<?, ?> kind, String wanted) {
        return key.work().equals(kind.word()) && (process == null || process.equals(wanted));
    }
}
