/** Signed examinations as FHIR R4: one document, and resources that are read and searched. Nothing is written by it. */
package lexicor.server.examinations.fhir;
