/** Stands for what a library would only need for things that are not asked of it here (pictures of web pages in a PDF). */
export default {};
