# frozen_string_literal: true

module Basalt
  module Annotation
    # Who belongs to which groups: any number of them, beside the one place that something is in.
    module Membership
      KIND = "membership"

      module_function

      # @return [Array<String>] ids of the members of a group, in order of making
      def members(set, group_id) =
        set.relations_of(group_id, KIND).select { |one| one.target("group") == group_id }.map { |one| one.target("member") }

      # @return [Array<Model::Element>] the groups that something belongs to
      def groups(set, id) =
        set.relations_of(id, KIND).select { |one| one.target("member") == id }.map { |one| set.element(one.target("group")) }

      def say(context, said)
        said[:members].each { |member| join(context, member, said[:group]) }
        context.show(said[:group])
      end

      # @raise [Mistake] when a group would belong to itself
      def join(context, member, group)
        raise Mistake, "#{group.name} cannot belong to itself" if member.id == group.id || within?(context.draft, member.id, group.id)
        return if context.draft.relations_between(member.id, group.id, KIND).any? { |one| one.target("member") == member.id }

        context.add(KIND, ends: [["member", member.id], ["group", group.id]])
      end

      def within?(set, group_id, id) = groups(set, id).any? { |group| group.id == group_id || within?(set, group_id, group.id) }
    end
  end
end
