import { Button, Menu, Portal } from '@chakra-ui/react';
import { useNavigate } from 'react-router';

/** The menu of the bar at the bottom of a phone, open. */
export function MoreMenu({ ways }: { ways: readonly { to: string; name: string }[] }) {
  const navigate = useNavigate();
  return (
    <Menu.Root
      defaultOpen
      onSelect={({ value }) => void navigate(value)}
      positioning={{ placement: 'top-end' }}
    >
      <Menu.Trigger asChild>
        <Button variant="ghost" px="1" h="auto" fontWeight="inherit" fontSize="inherit">
          More
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {ways.map(({ to, name }) => (
              <Menu.Item key={to} value={to}>
                {name}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
