/** What is proved of sheets, one class a rule. */
package dev.oleander.work.sheet.proof;
