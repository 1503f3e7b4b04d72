import { accountAnswer } from '@/server/door/accountDoor';

export { accountAnswer as GET, accountAnswer as POST };
