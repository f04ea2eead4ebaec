# frozen_string_literal: true

module App
  module Routes
    # What an index would come to, before anything is kept.
    class Weave < Base
      # Scales beside the wanted one, so that nobody finds a scale by trial and error.
      NEIGHBOURS = [500, 1000, 1250, 2000, 2500, 4000, 5000, 10_000, 12_500, 20_000, 25_000, 50_000, 100_000, 250_000].freeze

      post "/api/books/:book_id/weave" do
        settings = changed(body_json)
        document = TileLoom::Book::Document.new(settings)
        json(Presenter.answer(document.weave(book.source)))
      end

      post "/api/books/:book_id/scales" do
        settings = changed(body_json)
        json(scales_near(settings).map { |scale| {"scale" => scale, "count" => count(settings, scale)} })
      end

      private

      def changed(request_body)
        settings = MergePatch.apply(book.settings, request_body["patch"] || {})
        TileLoom::Book::Check.demand(settings)
        settings
      end

      def scales_near(settings)
        scale = settings.dig("index", "scale")
        below = NEIGHBOURS.select { |other| other < scale }.last(2)
        above = NEIGHBOURS.select { |other| other > scale }.first(2)
        [*below, scale, *above]
      end

      # nil where there would be too many.
      def count(settings, scale)
        TileLoom::Book::Document.new(MergePatch.apply(settings, {"index" => {"scale" => scale}})).weave(book.source).cells.length
      rescue TileLoom::Invalid
        nil
      end
    end
  end
end
