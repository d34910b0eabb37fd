# frozen_string_literal: true

module Web
  # Images that are put on sheets, and symbols of a person's own.
  module ImageRoutes
    extend Routing

    SHEET = EditRoutes::SHEET
    LONGEST = 320.0

    helped_by :Keeping

    post "#{SHEET}/images", needs: :edit, answers: :pieces, makes: "Add, Show, Arrange" do
      upload = Upload.new(params[:file], what: "an image", limit: Drawings::SafeImage::LIMIT)
      safe = Drawings::SafeImage.new(upload.bytes)
      name = upload.stem.then { |stem| stem.strip.empty? ? "picture" : stem }
      project = Store::Project.find(id(params[:project_id]))
      image =
        Store::Image.create!(
          id: SecureRandom.uuid,
          project_id: project.id,
          name:,
          type: safe.type,
          width: safe.width,
          height: safe.height,
          content: safe.content
        )
      kept_with([image]) do
        on_sheet(->(_) { "put the image #{name} on the sheet" }) do |draft, sheet|
          Fresh.new(nil, [ImageRoutes.show(draft, sheet, image)])
        end
      end
    end

    get "/projects/:project_id/images/:image_id", needs: :see, answers: :file do
      image = Store::Image.find_by(project_id: id(params[:project_id]), id: id(params[:image_id])) or
        raise Refusals::NotFound, "image"
      headers "Content-Security-Policy" => "default-src 'none'; style-src 'unsafe-inline'; sandbox"
      cache_control :private, max_age: 86_400
      content_type image.type
      image.content
    end

    post "#{SHEET}/symbols", needs: :edit, answers: :pieces, makes: "Add, Set" do
      brought = Drawings::SymbolSet.new(Upload.new(params[:file], what: "a zip file", limit: RequestGuard::LIMIT).io)
      project_id = Store::Project.find(id(params[:project_id])).id
      images =
        brought.images.to_h do |name, image|
          [
            name,
            Store::Image.create!(
              id: SecureRandom.uuid,
              project_id:,
              name:,
              type: image.type,
              width: image.width,
              height: image.height,
              content: image.content
            )
          ]
        end
      with_project do |project|
        done =
          kept_with(images.values) do
            perform(project, "brought in #{Basalt::English.count(images.length, "symbol")}") do |draft, _|
              images.each { |name, image| ImageRoutes.take_symbol(draft, name, image.id) }
            end
          end
        done + part("#facts", sheet_facts(project, sheet(project))) +
          part("#answer", view(:symbols_taken, taken: images.keys, refused: brought.refused))
      end
    end

    post "#{SHEET}/symbol/:element_id", needs: :edit, answers: :pieces, makes: "Set" do
      on_sheet(
        ->(draft) do
          "chose a symbol for " \
            "#{params[:every] ? "every #{draft.element(params[:element_id]).noun}" : draft.element(params[:element_id]).name}"
        end
      ) do |draft, _|
        thing = element(draft, params[:element_id])
        symbol = params[:symbol].to_s.empty? ? nil : element(draft, params[:symbol])
        raise Basalt::Mistake, "#{symbol.name} is no symbol" if symbol && symbol.kind != Basalt::Drawing::Symbols::KIND

        draft.apply(
          (
            if params[:every]
              Basalt::Drawing::Symbols.standing(draft, thing.noun, symbol&.id)
            else
              Basalt::Drawing::Symbols.giving(draft, thing, symbol&.id)
            end
          )
        )
      end
    end

    # Images are kept with the act that shows them, or not at all.
    module Keeping
      def kept_with(images)
        yield
      ensure
        Store::Image.where(id: images.map(&:id)).delete_all unless asked.kept
      end
    end

    # A symbol of a name that is known gets the new image.
    def self.take_symbol(draft, name, image_id)
      known = draft.named(name, Basalt::Drawing::Symbols::KIND).first
      draft.apply(
        (
          if known
            Basalt::Change::Set.new(id: known.id, fact: "image", value: image_id)
          else
            Basalt::Change::Add.new(kind: Basalt::Drawing::Symbols::KIND, name:, facts: { "image" => image_id })
          end
        )
      )
    end

    # @return [String] id of the picture
    def self.show(draft, sheet, image)
      name = draft.named(image.name).any? ? Basalt::Model::Names.following(image.name) { |taken| draft.named(taken).any? } : image.name
      id = draft.new_id
      draft.apply(
        Basalt::Change::Add.new(kind: "picture", name:, facts: { "image" => image.id }, id:),
        Basalt::Change::Show.new(sheet_id: sheet.id, element_id: id)
      )
      scale = [LONGEST / [image.width, image.height].max, 1].min
      Basalt::Drawing::Arranger.new(draft, sheet.id).follow
      draft.apply(
        Basalt::Change::Arrange.new(
          placement_id: draft.placement(sheet.id, id).id,
          to: {
            w: (image.width * scale).round,
            h: (image.height * scale).round
          }
        )
      )
      id
    end
  end
end
