# frozen_string_literal: true

module Web
  module Families
    module Annotation
      # Groups that overlap, beside the one place that something is in.
      module Routes
        extend Routing

        SHEET = EditRoutes::SHEET

        # What is selected belongs to a group from now on, or no longer; one of that name is made where there is none.
        post "#{SHEET}/grouped", needs: :edit, answers: :pieces, makes: "Add, Show, Remove" do
          name = params[:group].to_s.strip
          on_sheet(
            ->(draft, ids) do
              "#{params[:no] ? "took" : "put"} #{Acting.titles(draft, ids)} #{params[:no] ? "out of" : "into"} #{Basalt::Model::Names.short(name)}"
            end
          ) do |draft, sheet|
            ids = Acting.chosen(draft, params).reject { |id| draft.element(id).relation? || draft.element(id).name == name }
            raise Basalt::Mistake, "Select what belongs together first" if ids.empty?

            params[:no] ? Grouping.part(draft, ids, name) : Grouping.join(draft, sheet, ids, name)
            ids
          end
        end

        # The changes behind it.
        module Grouping
          MEMBERSHIP = Basalt::Annotation::Membership

          class << self
            def join(draft, sheet, ids, name)
              raise Basalt::Mistake, "Name the group they belong to" if name.empty?

              context = Basalt::Statements::Context.new(draft, sheet_id: sheet.id)
              group = named(draft, name) || context.add("group", name:)
              context.show(group)
              ids.each { |id| MEMBERSHIP.join(context, draft.element(id), group) }
            end

            def part(draft, ids, name)
              group = named(draft, name) or raise Basalt::Refusals::Gone, "The group"
              draft
                .relations_of(group.id, MEMBERSHIP::KIND)
                .select { |one| ids.include?(one.target("member")) }
                .each { |one| draft.apply(Basalt::Change::Remove.new(id: one.id)) }
            end

            private

            def named(draft, name) = draft.named(name, "group").first
          end
        end
      end
    end
  end
end
