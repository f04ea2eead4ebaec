# frozen_string_literal: true

module TileLoom
  module Output
    # What the forms of output have in common: each part of a scene goes to the method that is called after it (path,
    # text, curved_text, image, group, link, thing).
    module Writing
      private

      # Where the form knows no links, and no data of features.
      def link(_node) = nil

      def thing(_node) = nil

      def write(node)
        case node
        when Scene::Path
          path(node)
        when Scene::Text
          text(node)
        when Scene::CurvedText
          curved_text(node)
        when Scene::Image
          image(node)
        when Scene::Group
          group(node)
        when Scene::Link
          link(node)
        when Scene::Thing
          thing(node)
        end
      end
    end
  end
end
