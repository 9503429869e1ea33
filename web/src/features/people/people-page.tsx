import { type FormEvent, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { useAddMember, useMe, useMembers } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";

const ROLES: Record<string, string> = {
  owner: "Owner: everything, and lets people in",
  practitioner: "Practitioner: clients and visits",
  reader: "Reader: looks, changes nothing",
};

export function PeoplePage() {
  const me = useMe().data;
  const members = useMembers();
  const [adding, setAdding] = useState(false);
  return (
    <>
      <header className="mb-6 flex items-center justify-between">
        <div>
          <h1 className="text-2xl">People</h1>
          <p className="text-soft">{me?.practice}</p>
        </div>
        {me?.role === "owner" && (
          <Button look="next" onClick={() => setAdding(true)}>
            Let somebody in
          </Button>
        )}
      </header>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="pb-1 font-normal">Name</th>
            <th className="pb-1 font-normal">Address</th>
            <th className="pb-1 font-normal">May</th>
          </tr>
        </thead>
        <tbody>
          {members.data?.map((member) => (
            <tr key={member.id} className="border-t border-hair">
              <td className="h-13">
                <span className="font-semibold">{member.name}</span>{" "}
                <span className="text-soft">{member.title}</span>
              </td>
              <td className="figures text-soft">{member.email}</td>
              <td className="text-soft">{ROLES[member.role]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <NewMember open={adding} onOpenChange={setAdding} />
    </>
  );
}

function NewMember({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const add = useAddMember();
  const [given, setGiven] = useState({ name: "", title: "", email: "", password: "" });
  const [role, setRole] = useState<Schemas["MemberIn"]["role"]>("practitioner");
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    await add.mutateAsync({ ...given, role });
    setGiven({ name: "", title: "", email: "", password: "" });
    onOpenChange(false);
  };
  const line = (key: keyof typeof given, label: string, type = "text", help = "") => (
    <LabelledInput
      label={label}
      type={type}
      required={key !== "title"}
      autoComplete={type === "password" ? "new-password" : "off"}
      {...(type === "password" ? { minLength: 10 } : {})}
      {...(help ? { help } : {})}
      value={given[key]}
      onChange={(event) => setGiven({ ...given, [key]: event.target.value })}
    />
  );
  return (
    <Modal open={open} onOpenChange={onOpenChange} title="Let somebody in">
      <form onSubmit={submit} className="space-y-4">
        {line("name", "Name")}
        {line("title", "Profession")}
        {line("email", "Address", "email")}
        {line("password", "First password", "password", "Ten characters or more.")}
        <Segments
          label="Role"
          value={role}
          onChange={(value) => setRole(value as Schemas["MemberIn"]["role"])}
          choices={["owner", "practitioner", "reader"].map((value) => ({
            value,
            label: value[0]?.toUpperCase() + value.slice(1),
          }))}
        />
        {add.isError && <Notice role="alert">{add.error.message}</Notice>}
        <Button type="submit" look="next" disabled={add.isPending}>
          Let in
        </Button>
      </form>
    </Modal>
  );
}
