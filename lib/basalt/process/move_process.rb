# frozen_string_literal: true

module Basalt
  module Process
    # A process goes into another, and what flows to and from it goes along through all levels.
    MoveProcess =
      Value.of(:id, :container_id) do
        def apply(draft)
          process = draft.element(id) or raise Refusals::Gone, "the process"
          return if process.container_id == container_id

          lifting = FlowPropagation.new(draft)
          base = lifting.base
          before = concerned(draft, base).flat_map { |flow| lifting.levels(flow) }
          Change::Set.new(id:, fact: "container", value: container_id).apply(draft)
          draft.apply(Change::Set.new(id:, fact: "position", value: nil))
          carry(draft, base, before)
        end

        private

        def concerned(set, base) = base.select { |flow| flow.first(2).any? { |one| Levels.within?(set, one, id) } }

        def carry(draft, base, before)
          lifting = FlowPropagation.new(draft)
          wanted = concerned(draft, base).flat_map { |flow| lifting.levels(flow) }
          others = (base - concerned(draft, base)).flat_map { |flow| lifting.levels(flow) }
          (before - wanted - others).each do |from, to, name|
            Flowing.of(draft, from, to).select { |flow| flow.name == name }.each { |flow| draft.apply(Change::Remove.new(id: flow.id)) }
          end
          (wanted - before).each do |from, to, name|
            next if from == to || Flowing.of(draft, from, to).any? { |flow| flow.name == name }

            Change::Add.new(kind: "flow", name:, ends: [["from", from], ["to", to]]).apply(draft)
          end
        end
      end
  end
end
