import { useLocalSearchParams, useRouter } from 'expo-router';
import { problemOfError } from '@/data/client';
import { useFiring, useSaveFiring } from '@/data/firings';
import { RecordForm } from '@/notebook/RecordForm';
import { Held } from '@/ui/Held';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';

export function TellPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const detail = useFiring(id);
  const save = useSaveFiring(id);
  const back = { title: detail.data?.firing.pieceName ?? 'Firing', href: `/notebook/${id}` };
  if (!detail.data) return <Waiting query={detail} title="Tell more" back={back} />;
  const { firing, schedule } = detail.data;
  return (
    <Screen title="Tell more" subtitle={firing.pieceName} back={back}>
      {save.isPaused && <Held />}
      <RecordForm
        told={firing}
        schedule={schedule}
        problem={save.error ? problemOfError(save.error) : null}
        saving={save.isPending}
        onSave={(told) =>
          save.mutate({ id, body: { version: firing.version, zone: firing.zone, ...told } }, { onSuccess: () => router.replace(`/notebook/${id}`) })
        }
      />
    </Screen>
  );
}
