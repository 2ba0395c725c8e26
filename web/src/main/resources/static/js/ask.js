// One way to ask the server and one way to fail: whatever went wrong, there is no answer but null.

/**
 * @param read how the answer is read: json or text
 * @param how as for fetch
 */
export async function ask(path, read = 'json', how = {}) {
  const answer = await fetch(path, how).catch(() => null);
  return answer?.ok ? answer[read]() : null;
}

/** The same about the run that is shown, which the page says in its state. */
export function askOfRun(job, what, parameters = {}, read = 'json') {
  const run = document.querySelector('#bench-state [name=run]').value;
  return ask(`/jobs/${job}/${what}?${new URLSearchParams({...parameters, run})}`, read);
}
