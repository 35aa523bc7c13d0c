/** The shop's server as somebody who is signed in calls it: the first of its people, or the one named. */
export async function signedIn(base, name) {
  const jar = new Map();
  let headers = { 'content-type': 'application/json' };
  const call = async (path, init = {}) => {
    const answer = await fetch(`${base}${path}`, { ...init, headers });
    for (const cookie of answer.headers.getSetCookie()) {
      const [pair] = cookie.split(';');
      jar.set(pair.split('=')[0], pair);
    }
    headers = { ...headers, cookie: [...jar.values()].join('; ') };
    if (!answer.ok) throw new Error(`${path} was answered ${answer.status}: ${await answer.text()}`);
    const body = await answer.json();
    if (body.csrf) headers = { ...headers, 'x-csrf-token': body.csrf, 'x-person': body.person?.id ?? '' };
    return body;
  };
  const post = (path, body) => call(path, { method: 'POST', body: JSON.stringify(body) });
  await call('/session');
  const { people } = await call('/people');
  const { id: personId } = people.find((each) => each.name === name) ?? people[0];
  await post('/session', { personId, pin: '2468' });
  return { call, post, headers: () => headers };
}
