/** Nesting tasks and results as JSON files: {@link dev.oleander.nesting.file.NestFile}. */
package dev.oleander.nesting.file;
