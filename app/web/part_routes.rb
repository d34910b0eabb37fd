# frozen_string_literal: true

module Web
  # Rows of things edited where they stand: each is a line of text in its notation.
  module PartRoutes
    extend Routing

    SHEET = EditRoutes::SHEET

    helped_by :Parts

    get "#{SHEET}/part/:element_id", needs: :see, answers: :json do
      with_project do |project|
        sheet(project) && element(project.set, params[:element_id])
        part, owner = part_and_owner(project.set)
        content_type :json
        JSON.generate({ text: Basalt::Statements::PartLine.new(project.set, sheet(project).id, owner).of(part) })
      end
    end

    # Whether a line would be understood, and from which letter on not.
    get "#{SHEET}/part-check/:element_id", needs: :see, answers: :json do
      with_project do |project|
        at, reason =
          Basalt::Statements::PartLine.new(project.set, sheet(project).id, element(project.set, params[:element_id])).wrong(
            params[:text].to_s
          )
        content_type :json
        JSON.generate({ at:, reason: })
      end
    end

    post "#{SHEET}/part/:element_id", needs: :edit, answers: :pieces, makes: "whatever the line says" do
      on_sheet(->(draft) { "set #{draft.element(params[:element_id])&.name || "a row"}" }) do |draft, sheet|
        part, owner = part_and_owner(draft)
        Basalt::Statements::PartLine.new(draft, sheet.id, owner).put(draft, part, params[:text].to_s)
      end
    end

    post "#{SHEET}/parts/:element_id", needs: :edit, answers: :pieces, makes: "whatever the line says" do
      on_sheet(->(draft) { "added to #{draft.element(params[:element_id]).name}" }) do |draft, sheet|
        Basalt::Statements::PartLine.new(draft, sheet.id, element(draft, params[:element_id])).put(draft, nil, params[:text].to_s)
      end
    end

    post "#{SHEET}/part-placed/:element_id", needs: :edit, answers: :pieces, makes: "PlacePart, Reorder, Rejoin" do
      on_sheet(->(draft) { "moved #{draft.element(params[:element_id]).name}" }) do |draft, sheet|
        if sheet.notation.ruled?
          row, lane = [params[:element_id], params[:owner]].map { |given| element(draft, given).id }
          next draft.apply(*sheet.notation.geometry(draft, sheet.id).row_dropped(row, lane, params[:before]))
        end

        part, = part_and_owner(draft)
        owner = element(draft, params[:owner])
        draft.apply(Basalt::Change::PlacePart.new(id: part.id, owner_id: owner.id, before_id: params[:before].to_s))
      end
    end

    # The row that is meant.
    module Parts
      # @return [Array(Basalt::Model::Element, Basalt::Model::Element)] a part, and the thing in which it is shown
      def part_and_owner(set)
        part = set.element(id(params[:element_id])) or raise Basalt::Refusals::Gone, "It"
        owner = part.owner_id && set.element(part.owner_id) or raise Basalt::Mistake, "#{part.name || part.kind} is no row of a thing"
        [part, owner]
      end
    end
  end
end
