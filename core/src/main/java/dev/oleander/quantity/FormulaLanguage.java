package dev.oleander.quantity;

import com.ezylang.evalex.EvaluationException;
import com.ezylang.evalex.Expression;
import com.ezylang.evalex.config.ExpressionConfiguration;
import com.ezylang.evalex.config.MapBasedFunctionDictionary;
import com.ezylang.evalex.config.MapBasedOperatorDictionary;
import com.ezylang.evalex.data.EvaluationValue;
import com.ezylang.evalex.functions.basic.AbsFunction;
import com.ezylang.evalex.functions.basic.CeilingFunction;
import com.ezylang.evalex.functions.basic.FloorFunction;
import com.ezylang.evalex.functions.basic.SqrtFunction;
import com.ezylang.evalex.functions.trigonometric.AcosFunction;
import com.ezylang.evalex.functions.trigonometric.AsinFunction;
import com.ezylang.evalex.functions.trigonometric.AtanFunction;
import com.ezylang.evalex.functions.trigonometric.CosFunction;
import com.ezylang.evalex.functions.trigonometric.SinFunction;
import com.ezylang.evalex.functions.trigonometric.TanFunction;
import com.ezylang.evalex.operators.AbstractOperator;
import com.ezylang.evalex.operators.InfixOperator;
import com.ezylang.evalex.operators.OperatorIfc;
import com.ezylang.evalex.operators.arithmetic.InfixDivisionOperator;
import com.ezylang.evalex.operators.arithmetic.InfixMinusOperator;
import com.ezylang.evalex.operators.arithmetic.InfixMultiplicationOperator;
import com.ezylang.evalex.operators.arithmetic.InfixPlusOperator;
import com.ezylang.evalex.operators.arithmetic.PrefixMinusOperator;
import com.ezylang.evalex.operators.arithmetic.PrefixPlusOperator;
import com.ezylang.evalex.parser.Token;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Map;

/**
 * What formulas can say: the same text always means the same number, and none takes long. Angles
 * are in degrees.
 */
final class FormulaLanguage {

    /** Greatest power, upwards and downwards; nobody works out a size with more. */
    private static final double MOST_POWER = 32;

    static final ExpressionConfiguration CONFIGURATION =
            ExpressionConfiguration.builder()
                    .mathContext(MathContext.DECIMAL128)
                    .operatorDictionary(
                            MapBasedOperatorDictionary.ofOperators(
                                    Map.entry("+", new PrefixPlusOperator()),
                                    Map.entry("-", new PrefixMinusOperator()),
                                    Map.entry("+", new InfixPlusOperator()),
                                    Map.entry("-", new InfixMinusOperator()),
                                    Map.entry("*", new InfixMultiplicationOperator()),
                                    Map.entry("/", new InfixDivisionOperator()),
                                    Map.entry("^", new Power())))
                    .functionDictionary(
                            MapBasedFunctionDictionary.ofFunctions(
                                    Map.entry("ABS", new AbsFunction()),
                                    Map.entry("SQRT", new SqrtFunction()),
                                    Map.entry("FLOOR", new FloorFunction()),
                                    Map.entry("CEILING", new CeilingFunction()),
                                    Map.entry("SIN", new SinFunction()),
                                    Map.entry("COS", new CosFunction()),
                                    Map.entry("TAN", new TanFunction()),
                                    Map.entry("ASIN", new AsinFunction()),
                                    Map.entry("ACOS", new AcosFunction()),
                                    Map.entry("ATAN", new AtanFunction())))
                    .defaultConstants(
                            Map.of("PI", EvaluationValue.numberValue(BigDecimal.valueOf(Math.PI))))
                    .arraysAllowed(false)
                    .structuresAllowed(false)
                    .binaryAllowed(false)
                    .build();

    private FormulaLanguage() {}

    /** A power in double precision, of a bounded exponent. */
    @InfixOperator(precedence = OperatorIfc.OPERATOR_PRECEDENCE_POWER, leftAssociative = false)
    static final class Power extends AbstractOperator {

        @Override
        public EvaluationValue evaluate(
                Expression expression, Token token, EvaluationValue... operands)
                throws EvaluationException {
            double base = operands[0].getNumberValue().doubleValue();
            double exponent = operands[1].getNumberValue().doubleValue();
            double value = Math.pow(base, exponent);
            if (!(Math.abs(exponent) <= MOST_POWER) || !Double.isFinite(value)) {
                throw new EvaluationException(token, "power out of range");
            }
            return EvaluationValue.numberValue(BigDecimal.valueOf(value));
        }
    }
}
