import { Redirect } from 'expo-router';

export default function Runs() {
  return <Redirect href="/" />;
}
