# frozen_string_literal: true

module TileLoom
  module Output
    # What the forms of output have in common: each part of a scene goes to the method that is called after it (path,
    # text, curved_text, image, group, link, thing).
    module Writing
      # Paths of which the text is at hand.
      MOST_WRITTEN = 2
      private_constant :MOST_WRITTEN

      private

      # What the block writes, by itself.
      def apart
        before, @out = @out, String.new(encoding: @out.encoding)
        yield
        @out
      ensure
        @out = before
      end

      # The outlines of a path. What is filled and then stroked once or more is written out once.
      def outlines_of(node)
        @written ||= {}.compare_by_identity
        closed, text = @written[node.runs]
        return text if text && closed == node.closed
        text = apart { node.runs.each { |run| outline(run, node.closed) } }
        @written.shift while @written.size >= MOST_WRITTEN
        @written[node.runs] = [node.closed, text]
        text
      end

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
