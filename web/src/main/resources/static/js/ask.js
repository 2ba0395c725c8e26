// One way to ask the server and one way to fail: whatever went wrong, there is no answer but null.

/**
 * @param read how the answer is read: json or text
 * @param how as for fetch
 */
export async function ask(path, read = 'json', how = {}) {
  const answer = await fetch(path, how).catch(() => null);
  return answer?.ok ? answer[read]() : null;
}
