import { auth } from '@/server/accounts/auth';

const answer = (request: Request) => auth().handler(request);
export { answer as GET, answer as POST };
