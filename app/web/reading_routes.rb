# frozen_string_literal: true

module Web
  # The reading, edited as text.
  module ReadingRoutes
    extend Routing

    SHEET = EditRoutes::SHEET
    LIMIT = 2_000_000

    post "#{SHEET}/reading", needs: :edit, answers: :pieces, makes: "whatever the sentences say" do
      with_project do |project|
        raise Basalt::Refusals::TooLarge.new("The text", LIMIT) if params[:text].to_s.length > LIMIT

        before, after = [params[:before], params[:text]].map { |text| text.to_s.gsub("\r", "").split("\n") }
        revision = Basalt::Statements::ReadingPatch.new(project.set, sheet(project).id, before, after)
        parts = perform(project, ->(_) { "edited the reading of #{sheet(project).name}" }) do |draft, _|
          revision.into(draft)
          project.keep_answer(lines: revision.refused.map(&:to_h))
        end
        [parts, part("#reading", reading_after(project, sheet(project), revision.refused))].join
      end
    end

    helped_by :ReadingFace

    # The face of sentences.
    module ReadingFace
      # What could not be understood stays where it was typed.
      def reading_after(project, sheet, refused)
        reading = Basalt::Statements::Unparser.new(project.set).reading(sheet.id)
        refused.empty? ? sentences(sheet, reading) : reading_editor(sheet, reading, refused)
      end
    end
  end
end
